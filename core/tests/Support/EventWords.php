<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Work\Operation;
use Closure;

/** Reads an event written as {at: "18:52", do: colour, on: [upper], for: sea grey, with: sea grey, coat: mist}. */
final class EventWords
{
    /** @param  Closure(string): int  $at */
    public function __construct(private readonly Names $names, private readonly Closure $at)
    {
    }

    /** @param  array<string, mixed>  $said */
    public function event(array $said, string $id): Event
    {
        $at = ($this->at)($said['at']);
        $do = $said['do'];
        $kind = EventKind::tryFrom($do);
        $operation = $kind === null ? Operation::from($do) : null;
        $kind ??= match ($operation) {
            Operation::Glue, Operation::Attach => EventKind::Glued,
            Operation::Mask => EventKind::MaskOn,
            Operation::Unmask => EventKind::MaskOff,
            default => EventKind::Done,
        };
        $fields = array_diff_key($said, array_flip(['at', 'do', 'on', 'for', 'with', 'coat', 'recorded', 'back']));

        return Event::fromArray([
            'id' => $id, 'kind' => $kind->value, 'at' => gmdate('Y-m-d\TH:i:s\Z', $at),
            'recorded' => gmdate('Y-m-d\TH:i:s\Z', isset($said['recorded']) ? ($this->at)($said['recorded']) : $at),
            'targets' => array_map($this->names->id(...), $said['on'] ?? []),
            'operation' => $operation?->value,
            'purpose' => $this->purpose((string) ($said['for'] ?? ''), $do),
            'product' => isset($said['with']) ? $this->names->id($said['with']) : null,
            'coatKind' => $said['coat'] ?? null,
            'takesBack' => isset($said['back']) ? sprintf('01E0000000%016d', $said['back']) : null,
            ...$fields,
        ]);
    }

    private function purpose(string $word, string $said): string
    {
        return match (true) {
            $this->names->has('colour '.$word) => $this->names->id('colour '.$word),
            // A joint whose faces are plugged, unplugged or scraped.
            in_array($said, ['mask-faces', 'unplug', 'scrape'], true) && $this->names->has($word) => $this->names->id($word),
            default => $word,
        };
    }
}
