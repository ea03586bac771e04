<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\TypedNumber;

/** What is asked for: a template with its measures as they were typed, grown, mirrored, how many, as a pair. */
final readonly class Order
{
    private const COPIES = 60;

    /** mm that both paper sizes have between their margins: wider, and the printer shrinks it. */
    private const PAPER = 180.0;

    /** @var non-empty-list<Shape> one of each */
    public array $shapes;

    public Sheet $sheet;

    /**
     * @param  array<string, string>  $typed  measures, by field: "24", "0.5 in", "12 thou", "610 mm full"
     * @param  float|null  $scale  72 for 1/72: what is typed "full" is divided by it
     * @param  bool  $pair  one for each hand
     * @param  string  $start  where it begins, in words
     *
     * @throws BadDocument
     */
    public function __construct(public Template $template, array $typed, ?float $scale = null, float $grow = 0.0, public bool $mirror = false, public int $copies = 1, public bool $pair = false, string $start = '', float $width = self::PAPER)
    {
        if ($copies < 1 || $copies > self::COPIES) {
            throw BadDocument::at('copies', 'is out of range', 'give 1 to '.self::COPIES);
        }
        if ($width < 20 || $width > 2000) {
            throw BadDocument::at('sheet', 'is out of range', 'give its width, 20 to 2000 mm');
        }
        $shapes = $template->shapes(self::read($template, $typed, $scale), $grow);
        $this->shapes = array_map(static fn (Shape $s): Shape => $mirror ? $s->mirrored() : $s, $shapes);
        $begins = $start === '' ? '' : " from {$start}";
        $one = array_merge(...array_map(static fn (Shape $shape): array => $pair ? [$shape->labelled("port{$begins}"), $shape->mirrored()->labelled("starboard{$begins}")] : [$shape->labelled(trim($begins))], $this->shapes));
        $all = array_merge(...array_fill(0, $copies, $one));
        $this->sheet = new Sheet($all, $width);
    }

    /**
     * @param  array<string, string>  $typed
     * @return array<string, float|string>
     */
    private static function read(Template $template, array $typed, ?float $scale): array
    {
        $fields = array_column($template->fields, null, 'name');
        $read = [];
        foreach ($typed as $name => $text) {
            $text = trim($text);
            $field = $fields[$name] ?? null;
            if ($text === '' && $field !== null) {
                continue;
            }
            $read[$name] = match ($field?->unit) {
                null, Field::TEXT => $text,
                Field::MM => self::length($name, $text, $scale),
                default => self::number($name, $text),
            };
        }

        return $read;
    }

    private static function length(string $name, string $text, ?float $scale): float
    {
        $isFull = preg_match('/\s*\bfull\z/i', $text, $m) === 1;
        $length = TypedNumber::length($isFull ? trim(substr($text, 0, -strlen($m[0]))) : $text);
        if ($length === null || trim($length[1]) !== '') {
            throw BadDocument::at($name, '"'.mb_scrub($text).'" is no length', 'write 24, 2.5 mm, 0.5 in, 12 thou, or 610 mm full');
        }
        if ($isFull && $scale === null) {
            throw BadDocument::at($name, 'is of the full-size subject, and no scale is known', 'give the length on the model, or say the scale');
        }

        return $isFull ? $length[0] / $scale : $length[0];
    }

    private static function number(string $name, string $text): float
    {
        try {
            return TypedNumber::read(trim((string) preg_replace('/\s*(°|%|turns?)\z/u', '', $text)));
        } catch (NotRead $e) {
            throw BadDocument::at($name, $e->wrong, $e->right);
        }
    }
}
