<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Looks for a better timetable: puts off the first coat of a paint until more of it can be sprayed from one loading, lets
 * work go before other work, and times each trial over arcs. A fixed number of trials from a fixed seed: the same tasks and
 * hints give the same plan. Layers on one area, attachments and what waits for what stay as they are: no trial breaks them.
 */
final class Search
{
    /** Trials, where there are few tasks and where there are many: a trial takes as long as there are tasks. */
    private const MOST = 1500;

    private const LEAST = 400;

    /** Tasks times trials that are worth the time. */
    private const EFFORT = 100000;

    /** One trial in so many goes on from what moves nothing of the coming sessions. */
    private const CALMLY = 10;

    /** Of so many trials the first so many go on from what is worse by so many seconds at the guns. */
    private const AGAIN = 400;

    private const AWAY = 60;

    private const WORSE = 600;

    /** How much later all may end, by share, for a way that costs no more at the guns to be gone on with. */
    private const ASIDE = 1.05;

    private readonly Randomizer $random;

    private readonly Moves $moves;

    private readonly Ways $ways;

    private Trial $best;

    public function __construct(private readonly Tasks $tasks, private readonly Calendar $calendar, private readonly WorkClock $clock, private readonly int $now, private readonly Bench $bench = new Bench, int $seed = 7, private readonly ?int $trials = null)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->moves = new Moves($tasks, $this->random);
        $this->ways = new Ways($tasks, $calendar, $clock, $now, $bench);
    }

    /**
     * @param  Hints  $before  what was found last: it stays where nothing better is found
     * @param  callable(): bool  $goesOn  asked now and then; what was found is thrown away where it says no
     * @return Hints|null null where it was told to stop
     */
    public function run(Hints $before, callable $goesOn): ?Hints
    {
        if ($this->tasks->count() === 0) {
            return new Hints;
        }
        $plain = $this->ways->plain();
        $calm = $this->ways->by($before) ?? $plain;
        $watch = new Calm($this->calendar, $calm);
        $this->best = $calm;
        $still = $calm;
        $latest = $this->bench->due === [] ? [] : (new LatestStarts($this->tasks, $calm->timed->order, $this->bench->due, $this->calendar, $this->clock))->of;
        foreach ((new StartLists($this->tasks, $this->calendar, $this->now, $latest))->ranks() as $rank) {
            foreach (Loading::cases() as $loading) {
                $still = $this->keep($this->ways->of($rank, [], $loading), $watch, $still);
            }
        }
        $trials = $this->trials ?? max(self::LEAST, min(self::MOST, intdiv(self::EFFORT, $this->tasks->count())));
        $from = $this->best;
        for ($n = 1; $n <= $trials; $n++) {
            $trial = $this->neighbour($n % self::CALMLY === 0 ? $still : $from);
            $still = $this->keep($trial, $watch, $still);
            $from = $trial !== null && $this->isGoneOnWith($trial, $from, $n) ? $trial : $from;
            if ($n % 10 === 0 && ! $goesOn()) {
                return null;
            }
        }
        $order = (new Orders($this->tasks, $this->calendar, $this->clock, $this->now, $this->bench, $this->random))->better($this->best->timed->order, $calm->timed->order);
        $still = $order === null ? $still : $this->keep($this->ways->of(...$order), $watch, $still);
        // Where nothing was found before, nothing has a place yet.
        $found = $before->order === [] || $watch->isWorth($this->best) ? $this->best : $still;

        return $found->hints($this->tasks);
    }

    /** The best so far of those that move nothing of the coming sessions; the best of all is kept beside. */
    private function keep(?Trial $trial, Calm $watch, Trial $still): Trial
    {
        if ($trial === null) {
            return $still;
        }
        if ($trial->score->isBetterThan($this->best->score)) {
            $this->best = $trial;
        }

        return $trial->score->isBetterThan($still->score) && ! $watch->moves($trial) ? $trial : $still;
    }

    /** A way that costs no more at the guns; now and then any, so that the search comes away from where it is; and then from the best again. */
    private function isGoneOnWith(Trial $trial, Trial $from, int $n): bool
    {
        if ($trial->score->late !== $from->score->late) {
            return $trial->score->late < $from->score->late;
        }
        if ($n % self::AGAIN < self::AWAY) {
            return $trial->score->gun <= $from->score->gun + self::WORSE;
        }

        return $trial->score->gun <= $from->score->gun && $trial->score->finishes <= self::ASIDE * $this->best->score->finishes;
    }

    private function neighbour(Trial $from): ?Trial
    {
        $rank = $from->rank;
        $putOff = $from->putOff;
        match ($this->random->getInt(0, 9)) {
            0, 1 => [$rank, $putOff] = $this->moves->gathered($from, $rank, $putOff, hurries: true),
            2, 3 => [$rank, $putOff] = $this->moves->gathered($from, $rank, $putOff),
            4, 5, 6 => $rank = $this->moves->hurried($from, $rank),
            7 => $putOff = $this->moves->without($putOff),
            8 => $putOff = $this->moves->behind($from, $putOff),
            default => $rank = $this->moves->forward($from, $rank),
        };

        return $this->ways->of($rank, $putOff, $from->loading);
    }
}
