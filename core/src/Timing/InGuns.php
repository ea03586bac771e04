<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** What is in the guns and cups while tasks are timed. */
final class InGuns
{
    /** Seconds a mix is kept in a gun between two sprayings before it is rinsed. */
    public const STAYS = 1800;

    /** Seconds without spraying that end the evening. */
    public const EVENING_OVER = 6 * 3600;

    /** Seconds after which a gun nobody wrote down as cleaned is taken to be: few stop to press for a rinse. */
    public const CLEANED_UNSAID = 45 * 60;

    /** Seconds it takes to stir, thin and pour a cup. */
    public const MIXING = 300;

    /** @var list<array{bool, int, int, int, int}> whether it is a cleaning (else a mixing), paint, begin, end, task it comes before (-1: none) */
    public array $done = [];

    /** @var array<int, int> paints in the guns, and when each was last sprayed */
    public array $loaded;

    /** @var array<int, int|null> when each paint was last mixed */
    private array $mixed = [];

    /** @var array<int, int> when a cup that was mixed here was last sprayed out of */
    private array $used = [];

    public function __construct(private readonly Tasks $tasks, int $now, private readonly int $guns)
    {
        $this->loaded = $tasks->inTheGuns($now, $guns);
        foreach ($tasks->paints as $p => $paint) {
            $this->mixed[$p] = $paint->mixed;
        }
    }

    public function areFull(): bool
    {
        return count($this->loaded) >= $this->guns;
    }

    public function isLoaded(int $paint, int $at): bool
    {
        return isset($this->loaded[$paint]) && $at - $this->loaded[$paint] < self::STAYS;
    }

    /** Seconds of mixing before a task that is begun then. */
    public function mixing(int $i, int $at): int
    {
        if ($this->tasks->paint[$i] < 0 || ! $this->isMixedBefore($i, $at)) {
            return 0;
        }
        $fixed = $this->tasks->fixed[$i];

        return $fixed === null ? self::MIXING : min(self::MIXING, max(0, $fixed - $at));
    }

    /** Mixes before a task, where that is due; returns when the task may begin. */
    public function mix(int $i, int $begin): int
    {
        $paint = $this->tasks->paint[$i];
        if ($paint < 0 || ! $this->isMixedBefore($i, $begin)) {
            return $begin;
        }
        $end = $begin + $this->mixing($i, $begin);
        $this->done[] = [false, $paint, $begin, $end, $i];
        $this->mixed[$paint] = $this->used[$paint] = $end;

        return $end;
    }

    public function sprayed(int $paint, int $end): void
    {
        if ($paint < 0 || ! $this->tasks->paints[$paint]->gun) {
            return;
        }
        $this->loaded[$paint] = $end;
        if (isset($this->used[$paint])) {
            $this->used[$paint] = $end;
        }
    }

    private function isMixedBefore(int $i, int $at): bool
    {
        $p = $this->tasks->paint[$i];
        if (! $this->tasks->paints[$p]->gun || $this->isLoaded($p, $at)) {
            return false;
        }
        $paint = $this->tasks->paints[$p];
        $mixed = $this->mixed[$p];

        return match (true) {
            $mixed === null => true,
            $paint->sets && isset($this->used[$p]) => $at - $this->used[$p] >= $paint->keeps,
            default => $at - $mixed > (isset($this->used[$p]) ? $paint->keeps : $paint->stands),
        };
    }

    /** Whether all that is in the guns has to come out before a task that begins then. */
    public function dryBefore(int $i, int $begin): bool
    {
        $paint = $this->tasks->paint[$i];
        foreach ($this->loaded as $p => $last) {
            if (($p === $paint ? $begin : $begin + $this->tasks->seconds[$i]) - $last <= self::STAYS) {
                return false;
            }
        }

        return true;
    }

    /** Cleans what has to come out of the guns before a task that begins then, as soon as the hands are free; returns when they are again. */
    public function cleanBefore(int $i, int $begin, int $now): int
    {
        $paint = $this->tasks->paint[$i];
        $gun = $paint >= 0 && $this->tasks->paints[$paint]->gun;
        foreach ($this->loaded as $p => $last) {
            if (($gun && $p === $paint ? $begin : $begin + $this->tasks->seconds[$i]) - $last > self::STAYS) {
                $now = $this->clean($p, $i, $now, $paint < 0 || $begin - $now > self::EVENING_OVER);
            }
        }
        if ($gun && ! isset($this->loaded[$paint]) && $this->loaded !== [] && $this->areFull()) {
            $now = $this->clean((int) array_search(min($this->loaded), $this->loaded, true), $i, $now, false);
        }

        return $now;
    }

    /** The last of it is done: the guns are left clean. */
    public function finish(int $now): void
    {
        foreach (array_keys($this->loaded) as $paint) {
            $now = $this->clean($paint, -1, $now, true);
        }
    }

    private function clean(int $paint, int $before, int $now, bool $last): int
    {
        $end = $now + ($last ? $this->tasks->paints[$paint]->cleanLast : $this->tasks->paints[$paint]->clean);
        $this->done[] = [true, $paint, $now, $end, $before];
        unset($this->loaded[$paint]);

        return $end;
    }

    /** Seconds to clean what is in the guns, once a task is done (-1: as they are): they are kept at the end of a session. */
    public function cleaningAfter(int $i): int
    {
        $seconds = 0;
        $paint = $this->tasks->paint[$i] ?? -1;
        if ($paint >= 0 && ! isset($this->loaded[$paint]) && $this->tasks->paints[$paint]->gun) {
            $seconds = $this->tasks->paints[$paint]->cleanLast;
        }
        foreach ($this->loaded as $p => $_) {
            $seconds += $this->tasks->paints[$p]->cleanLast;
        }

        return $seconds;
    }
}
