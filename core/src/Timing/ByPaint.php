<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use Closure;

/** What may be sprayed now: with a paint that is in a gun, and of which paint most is ready. */
final class ByPaint
{
    /** @var array<int, array{int, int, int, list<int>}> session, tasks woken, seconds left of sittings that are begun and paints in the guns when nothing of a paint fitted any more */
    private array $full = [];

    /** @var array<int, int> tasks of each paint that are left */
    private array $left;

    /** @var array<int, array<int, int>> the same, which */
    private array $of = [];

    /**
     * @param  array<int, int>  $rank
     */
    public function __construct(private readonly Tasks $tasks, private readonly Calendar $calendar, private readonly Awake $awake, private readonly Hands $hands, private readonly array $rank)
    {
        $this->left = array_count_values($tasks->paint);
        foreach ($tasks->paint as $i => $paint) {
            $this->of[$paint][$i] = $i;
        }
    }

    /**
     * @param  array<int, int>  $tasks
     * @return int coats in one go on one piece count once
     */
    private function units(array $tasks): int
    {
        $units = [];
        foreach ($tasks as $i) {
            $units[$this->tasks->sitting[$i] < 0 ? -2 - $i : $this->tasks->sitting[$i]] = true;
        }

        return count($units);
    }

    public function taken(int $i): void
    {
        unset($this->of[$this->tasks->paint[$i]][$i]);
        $this->left[$this->tasks->paint[$i]]--;
    }

    /** @param  Closure(array<int, int>): (int|null)  $first  of tasks by rank the first that may be begun now */
    public function inTheGun(int $at, Closure $first): ?int
    {
        $best = null;
        foreach ($this->hands->guns->loaded as $paint => $_) {
            $i = $this->hands->guns->isLoaded($paint, $at) ? $this->firstOf($paint, $at, $first) : null;
            $best = $i !== null && ($best === null || $this->rank[$i] < $this->rank[$best]) ? $i : $best;
        }

        return $best;
    }

    /**
     * The paint of which most that is left is ready: little of it has to be mixed for again.
     *
     * @param  Closure(array<int, int>): (int|null)  $first  of tasks by rank the first that may be begun now
     * @param  bool  $whole  only one of which all is ready that is left
     * @param  array<int, true>|null  $booked  only one of these, or what needs no gun; null: whichever
     */
    public function mostReady(int $at, Closure $first, bool $whole = false, ?array $booked = null): ?int
    {
        $best = $share = null;
        foreach ($this->awake->all as $paint => $ready) {
            if ($booked !== null && $paint >= 0 && ! isset($booked[$paint]) && $this->tasks->paints[$paint]->gun) {
                continue;
            }
            if ($whole && $paint >= 0 && $this->units($ready) < $this->units($this->of[$paint])) {
                continue;
            }
            $i = $paint < 0 ? null : $this->firstOf($paint, $at, $first);
            $its = $i === null ? null : [-count($ready) / $this->left[$paint], $this->rank[$i]];
            if ($its !== null && ($share === null || $its < $share)) {
                [$best, $share] = [$i, $its];
            }
        }

        return $best;
    }

    /**
     * What is sprayed and comes before a rank, the first of all paints.
     *
     * @param  Closure(array<int, int>): (int|null)  $first  of tasks by rank the first that may be begun now
     * @param  array<int, true>|null  $booked  only one of these; null: whichever
     */
    public function firstBefore(int $rank, int $at, Closure $first, ?array $booked): ?int
    {
        $best = null;
        foreach ($this->awake->all as $paint => $ready) {
            if ($paint < 0 || $ready === [] || array_key_first($ready) > $rank || ($booked !== null && ! isset($booked[$paint]))) {
                continue;
            }
            $i = $this->firstOf($paint, $at, $first);
            if ($i !== null && $this->rank[$i] < $rank) {
                [$best, $rank] = [$i, $this->rank[$i]];
            }
        }

        return $best;
    }

    /**
     * The first of a paint that may be begun now: where none fitted into a session, none does later in it.
     *
     * @param  Closure(array<int, int>): (int|null)  $first  of tasks by rank the first that may be begun now
     */
    private function firstOf(int $paint, int $at, Closure $first): ?int
    {
        $state = [$this->calendar->endsAt($at), $this->awake->woken[$paint] ?? 0, $this->hands->sitting->rest, array_keys($this->hands->guns->loaded)];
        if (($this->full[$paint] ?? null) === $state) {
            return null;
        }
        $i = $first($this->awake->of($paint));
        if ($i === null) {
            $this->full[$paint] = $state;
        }

        return $i;
    }
}
