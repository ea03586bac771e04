<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;
use DateTimeZone;
use SplMinHeap;

/** What holds tasks while they are timed: what they wait for, arcs that run, gates that are shut, chances that close, the air. */
final class Held
{
    /** Rounds in which stretches and air have to agree on a moment. */
    private const ROUNDS = 12;

    /** @var array<int, int> how many tasks each still waits for */
    public array $open;

    /** @var array<int, list<int>> when chances of a task close, those that are open */
    public array $closes = [];

    /** @var SplMinHeap<array{int, int}> when chances close, and the task of each */
    private SplMinHeap $closing;

    /** @var array<int, int> until when what was timed holds each */
    private array $free;

    /** @var array<int, list<array{int, int}>> from when until when each is shut, besides */
    private array $shut;

    /** @var array<string, int> until when each gate is shut */
    private array $gates = [];

    /** @var array<int, true> tasks of which all that holds them was told: no gate is asked */
    private array $told = [];

    /** @var array<int, array{array<string, int>, array<int, string>}> */
    private array $groups;

    /** @var array<int, int> when what holds a task lets it go, as the rules said when they were asked last */
    public array $trusted = [];

    /** Seconds by which what was done since is later than it was to be then; null: all is as it was to be. */
    public ?int $late = null;

    private ?Warmed $warmed;

    public function __construct(private readonly Tasks $tasks, private readonly WorkClock $clock, private readonly int $now, private readonly Bench $bench, private readonly DateTimeZone $zone)
    {
        $this->open = $tasks->open;
        $this->shut = $tasks->shut;
        $this->groups = $tasks->groups;
        $this->free = array_fill(0, $tasks->count(), $now);
        $this->warmed = $tasks->warms === [] ? null : new Warmed($tasks);
        $this->closing = new SplMinHeap;
        foreach ($tasks->closes as $i => $closes) {
            foreach ($closes as $close) {
                $this->closes($i, $close);
            }
        }
    }

    public function __clone()
    {
        $this->closing = clone $this->closing;
        $this->warmed = $this->warmed === null ? null : clone $this->warmed;
    }

    /**
     * What holds a task is known better than by arcs: it replaces what they said.
     *
     * @param  list<array{int, int}>  $shut  from when until when
     */
    public function tell(int $i, array $shut, int $now): void
    {
        $this->free[$i] = $now;
        $this->shut[$i] = $shut;
        $this->told[$i] = true;
    }

    /** Until when arcs hold a task; a moment the user fixed is asked before all. */
    public function until(int $i): int
    {
        return $this->tasks->fixed[$i] ?? $this->free[$i];
    }

    /** When what holds a task lets it go, and gates and air let it pass, at the earliest from a moment on. */
    public function letsFrom(int $i, int $from): int
    {
        if ($this->tasks->fixed[$i] !== null) {
            return $this->tasks->fixed[$i];
        }
        $asked = $from;
        if ($this->isAsPromised($i)) {
            return max($asked, $this->trusted[$i]);
        }
        $from = max($from, $this->free[$i]);
        foreach (isset($this->told[$i]) ? [] : $this->tasks->passes[$i] as $gate) {
            $from = max($from, $this->gates[$gate] ?? 0);
        }
        foreach ($this->tasks->air[$i] as $gate) {
            // The rules of a build know of its own paint alone.
            $from = isset($this->told[$i]) && in_array($gate, $this->tasks->passes[$i], true) ? $from : max($from, $this->gates[$gate] ?? 0);
        }
        $sprays = $this->tasks->paint[$i] >= 0;
        $from = $sprays || $this->shut[$i] !== [] ? $this->between($i, $from, $sprays) : $from;

        return $from > $asked && isset($this->trusted[$i]) ? min($from, max($asked, $this->trusted[$i] + (int) $this->late)) : $from;
    }

    /** All is as it was to be: what was said when the rules were asked last says more than arcs. */
    public function isAsPromised(int $i): bool
    {
        return $this->late === null && isset($this->trusted[$i]);
    }

    /** Stretches that shut it, and the air, from a moment on. */
    private function between(int $i, int $from, bool $sprays): int
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $before = $from;
            foreach ($this->shut[$i] as [$shut, $until]) {
                if ($from >= $shut && $from < $until) {
                    $from = $until;
                }
            }
            if ($sprays) {
                $from = $this->bench->sprayFrom($from, $this->tasks->seconds[$i], $this->tasks->gloss[$i], $this->clock->room, $this->zone);
            }
            if ($from === $before) {
                break;
            }
        }

        return $from;
    }

    private function closes(int $i, int $at): void
    {
        $this->closes[$i][] = $at;
        $this->closing->insert([$at, $i]);
    }

    /** Whether a chance of a task that is left closes from one moment to another. */
    public function isClosing(int $from, int $until): bool
    {
        while (! $this->closing->isEmpty()) {
            [$at, $i] = $this->closing->top();
            if ($at > $from && isset($this->closes[$i])) {
                return $at < $until;
            }
            $this->closing->extract();
        }

        return false;
    }

    /** @return int|null when the next chance of a task closes */
    public function closesAt(int $i, int $at): ?int
    {
        $soonest = null;
        foreach ($this->closes[$i] ?? [] as $close) {
            if ($close > $at && ($soonest === null || $close < $soonest)) {
                $soonest = $close;
            }
        }

        return $soonest;
    }

    /** When a wait is over that begins at a moment. */
    public function after(int $end, float $work, int $by): int
    {
        return $by === 0 ? $end + 60 * (int) ceil($work - 1e-9) : $this->clock->endOf($end, $work, Tasks::dries($by));
    }

    /**
     * A task is done: what it holds is held from then on.
     *
     * @param  array<int, int>  $done  ends of all that are
     * @return list<int> tasks that wait for none any more
     */
    public function done(int $i, int $end, array $done): array
    {
        unset($this->closes[$i]);
        foreach ($this->tasks->arcs[$i] as [$to, $work, $by, $from, $closes]) {
            if (isset($done[$to])) {
                continue;
            }
            $until = $this->after($end, $work, $by);
            if ($from === 0) {
                $this->free[$to] = max($this->free[$to], $until);
                $this->warmed?->held($to, $i, $end, $until, $work, $by);
            } elseif ($until > $end + $from) {
                $this->shut[$to][] = [$end + $from, $until];
            }
            if ($closes !== null) {
                $this->closes($to, $end + $closes);
            }
        }
        foreach ($this->warmed?->done($i, $end) ?? [] as $to) {
            $this->free[$to] = isset($this->told[$to]) || isset($done[$to]) ? $this->free[$to] : max($this->now, $this->warmed?->until($to, $this->clock) ?? 0);
        }
        foreach ($this->tasks->shuts[$i] as [$gate, $work, $by]) {
            $this->gates[$gate] = max($this->gates[$gate] ?? 0, $this->after($end, $work, $by));
        }
        $next = $this->tasks->unlocks[$i];
        foreach ($this->tasks->readies[$i] as [$group, $piece]) {
            array_push($next, ...Groups::isReady($this->groups[$group], $piece));
        }
        $fresh = [];
        foreach ($next as $one) {
            if (--$this->open[$one] === 0) {
                $fresh[] = $one;
            }
        }

        return $fresh;
    }
}
