<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use ArrayObject;

/** How a sitting would go that is begun at a moment: how long it takes, and whether what is laid in it comes off in time. */
final class SittingRun
{
    /** Sessions in which one is looked for after which all that is laid comes off in time. */
    private const SESSIONS = 14;

    /** Rounds in which a session and what holds a spraying have to agree on a moment. */
    private const ROUNDS = 4;

    /** @var ArrayObject<int, array<string, true>> gates a sitting shuts and has to pass itself, for all hands that come from these */
    private readonly ArrayObject $passed;

    /** @var array<int, array<int, array{int, int}>> by sitting */
    private array $stays = [];

    /** @param  array<int, list<int>>  $of  tasks of each sitting */
    public function __construct(private readonly Tasks $tasks, private Held $held, private readonly Calendar $calendar, private readonly array $of)
    {
        /** @var ArrayObject<int, array<string, true>> $passed */
        $passed = new ArrayObject;
        $this->passed = $passed;
        foreach ($tasks->stays as $off => $stay) {
            if ($tasks->sitting[$off] >= 0 && $tasks->sitting[$off] === $tasks->sitting[$stay[0]]) {
                $this->stays[$tasks->sitting[$off]][$off] = $stay;
            }
        }
    }

    public function of(Held $held): self
    {
        $run = clone $this;
        $run->held = $held;

        return $run;
    }

    /** The begin of a session from which each mask is lifted before it has stayed too long; where none is, the moment it was asked of. */
    public function comesOffInTime(int $i, int $begin): int
    {
        $lifts = $this->stays($i);
        if ($lifts === []) {
            return $begin;
        }
        for ($from = $begin, $session = 0; $session < self::SESSIONS; $session++) {
            // Early in a session, so that all is done in it; or so late that its next coat comes in the next, a night after.
            foreach ([$from, max($from, $this->calendar->endsAt($from) - $this->toFirstCoat($i))] as $at) {
                $ends = $this->run($i, $at, true);
                if (array_filter($lifts, fn (array $stay, int $off): bool => $stay[1] < $ends[$off] - $this->tasks->seconds[$off] - $ends[$stay[0]], ARRAY_FILTER_USE_BOTH) === []) {
                    return $at;
                }
            }
            $from = $this->calendar->nextAfter($from);
        }

        return $begin;
    }

    /** @return array<int, array{int, int}> how long what a sitting lays may stay, by what takes it off */
    public function stays(int $i): array
    {
        return $this->stays[$this->tasks->sitting[$i]] ?? [];
    }

    /**
     * Seconds from the begin of the first task of a sitting to the end of its last.
     *
     * @param  array<int, mixed>  $without  tasks it may end without
     */
    public function span(int $i, int $begin, array $without = []): int
    {
        return max([0, ...array_diff_key($this->run($i, $begin), $without)]) - $begin;
    }

    /** Seconds a sitting has to have before the end of a session: all up to its first coat, mixed before it and rinsed after. */
    private function toFirstCoat(int $i): int
    {
        $seconds = 2 * InGuns::MIXING;
        foreach ($this->members($i) as $member) {
            $seconds += $this->tasks->seconds[$member];
            if ($this->tasks->paint[$member] >= 0) {
                break;
            }
        }

        return $seconds;
    }

    /**
     * @param  bool  $inSessions  what falls between two sessions waits for the next
     * @return array<int, int> when each task of a sitting ends that is begun then and goes on as soon as it may
     */
    private function run(int $i, int $begin, bool $inSessions = false): array
    {
        $sitting = $this->tasks->sitting[$i];
        $free = $gates = $ends = [];
        $members = $this->members($i);
        foreach ($inSessions ? $members : [] as $member) {
            $free[$member] = $member !== $i && $this->held->open[$member] === 0 ? $this->held->letsFrom($member, $begin) : 0;
        }
        $t = $begin;
        $sprayed = 0;
        $passed = $this->passed[$sitting] ??= $this->gatesWithin($members);
        foreach ($members as $member) {
            foreach ($gates === [] ? [] : $this->tasks->passes[$member] as $gate) {
                $t = max($t, $gates[$gate] ?? 0);
            }
            $t = max($t, $free[$member] ?? 0);
            $ends[$member] = $t = ($inSessions ? $this->inSession($member, $t, $sprayed) : $t) + $this->tasks->seconds[$member];
            $sprayed = $this->tasks->paint[$member] >= 0 ? $t : $sprayed;
            foreach ($passed === [] ? [] : $this->tasks->shuts[$member] as [$gate, $work, $by]) {
                if (isset($passed[$gate])) {
                    $gates[$gate] = max($gates[$gate] ?? 0, $this->held->after($t, $work, $by));
                }
            }
            foreach ($this->tasks->arcs[$member] as [$to, $work, $by, $from]) {
                if ($from === 0 && $this->tasks->sitting[$to] === $sitting) {
                    $free[$to] = max($free[$to] ?? 0, $this->held->after($t, $work, $by));
                }
            }
        }

        return $ends;
    }

    /**
     * When a task is done that may be from a moment on: in a session, and what is sprayed where and when one may, mixed
     * anew where the last coat was too long ago.
     */
    private function inSession(int $i, int $from, int $sprayed): int
    {
        $sprays = $this->tasks->paint[$i] >= 0;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $mix = $sprays && $from - $sprayed > InGuns::STAYS ? InGuns::MIXING : 0;
            $at = $this->calendar->earliestFit($from, ($mix + $this->tasks->seconds[$i]) / 60) + $mix;
            $lets = $sprays ? $this->held->letsFrom($i, $at) : $at;
            if ($lets === $at) {
                return $at;
            }
            $from = $lets - $mix;
        }

        return $from;
    }

    /** @return list<int> of the sitting of a task */
    private function members(int $i): array
    {
        return $this->of[$this->tasks->sitting[$i]] ?? [];
    }

    /**
     * @param  list<int>  $members
     * @return array<string, true>
     */
    private function gatesWithin(array $members): array
    {
        $passes = $shuts = [];
        foreach ($members as $member) {
            $passes += array_fill_keys($this->tasks->passes[$member], true);
            $shuts += array_fill_keys(array_column($this->tasks->shuts[$member], 0), true);
        }

        return array_intersect_key($passes, $shuts);
    }
}
