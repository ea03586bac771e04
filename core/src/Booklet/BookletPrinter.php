<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Kit\Callout;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\PaintedFace;
use AmberStep\Core\Lines\LinePrinter;
use AmberStep\Core\Lines\Ref;
use AmberStep\Core\Material\Shelf;

/** Writes a booklet as lines that read back as the same booklet. */
final class BookletPrinter
{
    public static function text(Kit $kit, Shelf $shelf): string
    {
        if ($kit->callouts === [] && $kit->options === [] && array_filter(array_column($kit->colours, 'code'), is_string(...)) === []) {
            return '';
        }
        $names = new LinePrinter($kit, $shelf);
        $lines = [];
        foreach ($kit->colours as $colour) {
            if ($colour->code !== null) {
                $lines[] = Ref::quoted($colour->code)." = {$names->called($colour->id)}";
            }
        }
        foreach ($kit->options as $option) {
            if ($option->chosen !== null) {
                $lines[] = 'choose '.Ref::quoted($option->name).' = '.Ref::quoted($option->chosen);
            }
        }
        $callouts = $kit->callouts;
        usort($callouts, static fn (Callout $a, Callout $b): int => [$a->step, $a->position, $a->id] <=> [$b->step, $b->position, $b->id]);
        foreach ($callouts as $callout) {
            $lines[] = self::line($callout, $kit, $names);
        }

        return $lines === [] ? '' : implode("\n", $lines)."\n";
    }

    private static function line(Callout $callout, Kit $kit, LinePrinter $names): string
    {
        $colour = $kit->colour($callout->colour);
        $words = [
            "{$callout->step}:", $callout->number,
            $colour === null ? '' : self::colour($colour, $names),
            $callout->clear ? 'clear' : ($colour === null ? 'bare' : ''), $callout->size->value,
            implode(' ', array_map(static fn (PaintedFace $f): string => $f->value, $callout->faces)),
            $callout->count === 1 ? '' : "x{$callout->count}", $callout->onceTogether ? 'once together' : '', $callout->letsLight ? 'lets light' : '',
            $callout->option === null ? '' : 'option '.self::token($callout->option), $callout->name === null ? '' : 'called '.self::token($callout->name),
        ];

        return implode(' ', array_filter($words, static fn (string $w): bool => $w !== ''));
    }

    /** Its code, else its name; in quotes where a word of it would mean something else here. */
    private static function colour(Colour $colour, LinePrinter $names): string
    {
        if ($colour->code !== null && preg_match('/[\s,"]/u', $colour->code) !== 1) {
            return $colour->code;
        }
        $called = $names->called($colour->id);
        foreach (explode(' ', $called) as $word) {
            if (str_starts_with($called, '"') || (! CalloutFields::isTaken($word) && Token::numbers($word) === [])) {
                continue;
            }

            return self::token($colour->name).mb_substr($called, mb_strlen($colour->name));
        }

        return $called;
    }

    /** One token: in quotes where it would come apart. */
    private static function token(string $text): string
    {
        return preg_match('/\A[\p{L}\d=.-]+\z/u', $text) === 1 ? $text : '"'.strtr($text, ['\\' => '\\\\', '"' => '\\"', "\n" => '\\n', "\r" => '\\r', "\t" => '\\t']).'"';
    }
}
