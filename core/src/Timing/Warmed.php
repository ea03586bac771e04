<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Log\CabinetStay;

/**
 * Waits that go on in a warm place while tasks are timed: once a piece is put there, what was sprayed on it before dries by
 * the air in there, until it is taken out for what it dries for. The arcs know the work alone, not where it is done.
 */
final class Warmed
{
    /** @var array<int, array<int, list<int>>> what puts the piece there, by the task that waits and the one the wait begins with */
    private array $through = [];

    /** @var array<int, list<int>> tasks whose waits it shortens, by what puts the piece there */
    private array $waiting = [];

    /** @var array<int, list<array{int, int, float, int}>> task it began with, its end, work and what works it off, of each wait of a task that runs */
    private array $running = [];

    /** @var array<int, int> until when all else holds a task whose waits are counted here */
    private array $besides = [];

    /** @var array<int, CabinetStay> by what puts the piece there */
    private array $stays = [];

    /** @var array<int, list<int>> what puts pieces there, by what takes them out */
    private array $out = [];

    public function __construct(private readonly Tasks $tasks)
    {
        foreach ($tasks->warms as $in => [, $out]) {
            foreach ([$in, ...$out] as $from) {
                $this->cross($from, $in);
            }
            foreach ($out as $i) {
                $this->out[$i][] = $in;
            }
        }
    }

    private function cross(int $from, int $in): void
    {
        foreach ($from > $in ? [] : $this->tasks->arcs[$from] as [$to, , $by, $offset]) {
            if ($to > $in && $by !== 0 && $offset === 0) {
                $this->through[$to][$from][] = $in;
                $this->waiting[$in][] = $to;
            }
        }
    }

    /** How warm it may be all the way between two tasks, °C; null: in the room alone. */
    public function between(int $from, int $to): ?float
    {
        $ins = $this->through[$to][$from] ?? [];

        return $ins === [] ? null : max(array_map(fn (int $in): float => $this->tasks->warms[$in][0], $ins));
    }

    /**
     * A wait begins: one that may be shortened, or one that holds its task whatever the others do.
     *
     * @param  int  $until  when it is over in the room
     */
    public function held(int $to, int $from, int $end, int $until, float $work, int $by): void
    {
        if (isset($this->through[$to][$from])) {
            $this->running[$to][] = [$from, $end, $work, $by];
        } elseif (isset($this->through[$to])) {
            $this->besides[$to] = max($this->besides[$to] ?? 0, $until);
        }
    }

    /**
     * A task is done: it may have put a piece into the warmth, or taken it out.
     *
     * @return list<int> tasks that are held less long by it, or longer
     */
    public function done(int $i, int $end): array
    {
        $changed = [];
        foreach ($this->out[$i] ?? [] as $in) {
            $stay = $this->stays[$in] ?? null;
            if ($stay !== null && $stay->untilEpoch === null) {
                $this->stays[$in] = new CabinetStay($stay->fromEpoch, $end, $stay->temperatureC);
                array_push($changed, ...$this->waiting[$in] ?? []);
            }
        }
        if (isset($this->tasks->warms[$i])) {
            $this->stays[$i] = new CabinetStay($end, null, $this->tasks->warms[$i][0]);
            array_push($changed, ...$this->waiting[$i] ?? []);
        }

        return $changed;
    }

    /** Until when a task is held, by all that is known. */
    public function until(int $to, WorkClock $clock): int
    {
        $until = $this->besides[$to] ?? 0;
        foreach ($this->running[$to] ?? [] as [$from, $end, $work, $by]) {
            $stays = array_values(array_intersect_key($this->stays, array_fill_keys($this->through[$to][$from] ?? [], true)));
            $until = max($until, $clock->endOf($end, $work, Tasks::dries($by), $stays));
        }

        return $until;
    }
}
