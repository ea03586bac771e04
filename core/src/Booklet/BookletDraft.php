<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Kit\Callout;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Lines\Draft;
use Closure;

/** A kit while its booklet is read into it: the draft of the kit, and the call-outs and choices beside it. */
final class BookletDraft
{
    public readonly Draft $kit;

    /** The step last named: it holds until another is. */
    public ?int $step = null;

    /** @var array<string, array<string, mixed>> by what tells a call-out apart */
    private array $callouts = [];

    /** @var array<string, array<string, mixed>> of the kit that was, for ids that stay */
    private array $before = [];

    /** @var array<string, int> line it was said on, by what tells it apart */
    private array $said = [];

    /** @var array<string, array<string, mixed>> by name */
    private array $options = [];

    /** @param  Closure(): string  $newId */
    public function __construct(private readonly Kit $base, private readonly Closure $newId, bool $whole)
    {
        $this->kit = new Draft($base, $newId);
        $last = 0;
        foreach ($base->callouts as $callout) {
            $this->before[self::mark($callout->toArray())] = $callout->toArray();
            if ($callout->position >= $last) {
                [$last, $this->step] = [$callout->position, $callout->step];
            }
        }
        $this->callouts = $whole ? [] : $this->before;
        $this->step = $whole ? null : $this->step;
        foreach ($base->options as $option) {
            $this->options[mb_strtolower($option->name)] = $option->toArray();
        }
    }

    /**
     * @param  array<string, mixed>  $fields  of a call-out, without id and position
     *
     * @throws NotRead where this text has said it before
     */
    public function callout(array $fields, int $line): string
    {
        $mark = self::mark($fields);
        if (isset($this->said[$mark])) {
            throw new NotRead("line {$this->said[$mark]} says this already", 'write x2 if there are two');
        }
        $this->said[$mark] = $line;
        $known = $this->before[$mark] ?? null;
        $position = $known['position'] ?? null;
        $thing = ['id' => $known['id'] ?? ($this->newId)(), 'position' => is_int($position) ? $position : $this->next(), ...$fields];
        $this->callouts[$mark] = $thing;

        return $known === null ? 'new' : 'known';
    }

    public function choose(string $name, ?string $choice): void
    {
        $known = $this->options[mb_strtolower($name)] ?? null;
        $this->options[mb_strtolower($name)] = ['id' => $known['id'] ?? ($this->newId)(), 'name' => $known['name'] ?? $name, 'chosen' => $choice ?? $known['chosen'] ?? null];
    }

    /** @return list<Callout> of a part number, so far */
    public function calloutsOf(string $number): array
    {
        $found = array_filter($this->kit()->callouts, static fn (Callout $c): bool => strcasecmp($c->number, $number) === 0);

        return array_values($found);
    }

    public function kit(): Kit
    {
        $document = $this->kit->kit()->toArray();
        $document['house'] = $this->base->house->positions;
        $document['callouts'] = array_values($this->callouts);
        $document['options'] = array_values($this->options);

        return Kit::fromArray($document);
    }

    public function newId(): string
    {
        return ($this->newId)();
    }

    private function next(): int
    {
        $last = 0;
        foreach ($this->callouts as $callout) {
            $last = max($last, is_int($callout['position']) ? $callout['position'] + 1 : 0);
        }

        return $last;
    }

    /** @param  array<string, mixed>  $callout */
    private static function mark(array $callout): string
    {
        return (string) json_encode([$callout['step'], is_string($callout['number']) ? mb_strtolower($callout['number']) : '', $callout['colour'], $callout['faces'], $callout['option'] ?? null, $callout['clear'] ?? false]);
    }
}
