<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Work\Operation;

/** What is really on one area, oldest layer first. Copied by clone: layers themselves never change. */
final class AreaState
{
    /** @var list<Layer> */
    public array $layers = [];

    /** @var array<string, MaskOn> by purpose */
    public array $masks = [];

    /** @var list<MaskStay> masks that came off again, oldest first */
    public array $masksPast = [];

    public ?int $washedAt = null;

    /** The event or planned step that filled what was low in it. */
    public ?string $filledBy = null;

    /** The event or planned step that washed it. */
    public ?string $washedBy = null;

    public bool $blownOff = false;

    /** Wiped damp instead of bathed: dry in an hour. */
    public bool $wipedDamp = false;

    /** Last time it was sanded or handled after being washed. */
    public ?int $soiledAt = null;

    /** @var list<CabinetStay> */
    public array $stays = [];

    /** @var array<string, non-empty-list<int>> instants by "operation/purpose" */
    public array $done = [];

    public function top(): ?Layer
    {
        return $this->layers[count($this->layers) - 1] ?? null;
    }

    /** Washed since it was last sanded; or painted, which is past washing. */
    public function isClean(): bool
    {
        return $this->layers !== [] || ($this->washedAt !== null && $this->washedAt >= ($this->soiledAt ?? 0));
    }

    /** Takes masks off, and remembers how long they lay. */
    public function bare(string $purpose, int $atEpoch, ?string $stepKey): void
    {
        $mask = $this->masks[$purpose] ?? null;
        if ($mask !== null) {
            $this->masksPast[] = new MaskStay($mask, $atEpoch, $stepKey);
            unset($this->masks[$purpose]);
        }
    }

    public function isMasked(): bool
    {
        return $this->masks !== [];
    }

    /** Whether it was abraded since a moment, for whatever reason. */
    public function isSandedSince(int $epoch): bool
    {
        foreach ($this->done as $key => $times) {
            if (Operation::tryFrom(explode('/', (string) $key)[0])?->sands() === true && max($times) > $epoch) {
                return true;
            }
        }

        return false;
    }

    /** How often an operation was done for a purpose. */
    public function count(Operation $operation, string $purpose): int
    {
        return count($this->done[$operation->value.'/'.$purpose] ?? []);
    }

    public function note(Operation $operation, string $purpose, int $atEpoch): void
    {
        $this->done[$operation->value.'/'.$purpose][] = $atEpoch;
    }

    public function lay(Layer $layer): void
    {
        $this->layers[] = $layer;
    }

    public function replaceTop(Layer $layer): void
    {
        array_pop($this->layers);
        $this->layers[] = $layer;
    }

    /** @return list<Layer> from the top down */
    public function fromTop(): array
    {
        return array_reverse($this->layers);
    }

    /** The stay in the cabinet that has not ended. */
    public function openStay(): ?CabinetStay
    {
        $last = $this->stays[count($this->stays) - 1] ?? null;

        return $last?->untilEpoch === null ? $last : null;
    }

    public function staysMark(): string
    {
        return implode(',', array_map(static fn (CabinetStay $s): string => $s->mark(), $this->stays));
    }
}
