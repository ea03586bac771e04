<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

/** Joints whose piece may not be handled yet: only the first of each piece is looked at, the others stand behind it. */
final class HandlingQueue
{
    /** @var array<string, array<int, true>> places in the plan's order by piece */
    private array $places = [];

    /** @var array<string, int> the lowest of them by piece */
    private array $first = [];

    /** @var array<int, string> the piece by place */
    private array $piece = [];

    /** @return list<int> places of those that are looked at */
    public function firsts(): array
    {
        return array_values($this->first);
    }

    /** @return int|null the one that stands behind from now on: itself, or the one that was first; null where it stands alone or stood there before */
    public function enter(int $place, string $piece): ?int
    {
        $first = $this->first[$piece] ?? $place;
        $this->places[$piece][$place] = true;
        $this->piece[$place] = $piece;
        $this->first[$piece] = min($first, $place);

        return $first === $place ? null : max($first, $place);
    }

    /** @return int|null the one that is first from now on, where it was another */
    public function leave(int $place): ?int
    {
        $piece = $this->piece[$place] ?? null;
        if ($piece === null) {
            return null;
        }
        unset($this->piece[$place], $this->places[$piece][$place]);
        if ($this->first[$piece] !== $place) {
            return null;
        }
        unset($this->first[$piece]);
        $left = array_keys($this->places[$piece]);

        return $left === [] ? null : $this->first[$piece] = min($left);
    }
}
