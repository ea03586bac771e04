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

    private const LEAST = 250;

    /** Tasks times trials that are worth the time. */
    private const EFFORT = 60000;

    /** One trial in so many goes on from what moves nothing of the coming sessions. */
    private const CALMLY = 10;

    /** How much later all may end, by share, for a way that costs no more at the guns to be gone on with. */
    private const ASIDE = 1.05;

    private readonly Randomizer $random;

    private Trial $best;

    public function __construct(private readonly Tasks $tasks, private readonly Calendar $calendar, private readonly WorkClock $clock, private readonly int $now, private readonly int $guns = 1, int $seed = 7)
    {
        $this->random = new Randomizer(new Mt19937($seed));
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
        $calm = $this->trial($before->ranks($this->tasks), $before->putOffs(array_flip($this->tasks->keys))) ?? $this->trial(array_keys($this->tasks->keys), []) ?? throw new \LogicException('the order of the plan leads to its end');
        $watch = new Calm($this->calendar, $calm);
        $this->best = $calm;
        $still = $calm;
        foreach ((new StartLists($this->tasks, $this->calendar))->ranks() as $rank) {
            $still = $this->keep($this->trial($rank, []), $watch, $still);
        }
        $trials = max(self::LEAST, min(self::MOST, intdiv(self::EFFORT, $this->tasks->count())));
        $from = $this->best;
        for ($n = 1; $n <= $trials; $n++) {
            $trial = $this->neighbour($n % self::CALMLY === 0 ? $still : $from);
            $still = $this->keep($trial, $watch, $still);
            $from = $trial !== null && $trial->score->gun <= $from->score->gun && $trial->score->finishes <= self::ASIDE * $this->best->score->finishes ? $trial : $from;
            if ($n % 10 === 0 && ! $goesOn()) {
                return null;
            }
        }
        $found = $watch->isWorth($this->best) ? $this->best : $still;

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

    private function neighbour(Trial $from): ?Trial
    {
        $rank = $from->rank;
        $putOff = $from->putOff;
        match ($this->random->getInt(0, 9)) {
            0, 1, 2, 3 => $putOff = $this->gathered($from, $putOff),
            4, 5, 6 => $rank = $this->hurried($from, $rank),
            7 => $putOff = $this->without($putOff),
            8 => $putOff = $this->behind($from, $putOff),
            default => $rank = $this->forward($from, $rank),
        };

        return $this->trial($rank, $putOff);
    }

    /**
     * One loading of a paint waits for the next: its first coat is put off until what the other begins with is ready.
     *
     * @param  array<int, int>  $putOff
     * @return array<int, int>
     */
    private function gathered(Trial $from, array $putOff): array
    {
        $loads = $from->loads($this->tasks);
        if ($loads === []) {
            return $putOff;
        }
        $paint = array_keys($loads)[$this->random->getInt(0, count($loads) - 1)];
        $k = $this->random->getInt(0, count($loads[$paint]) - 2);
        $later = $loads[$paint][$k + 1][0];
        foreach ($loads[$paint][$k] as $task) {
            $putOff[$task] = $later;
        }
        // What the later one begins with goes on as it was: only the earlier waits.
        unset($putOff[$later]);

        return $putOff;
    }

    /**
     * What a later loading of a paint is for, and all it waits for, goes before what the earlier one is for.
     *
     * @param  list<int>  $rank
     * @return list<int>
     */
    private function hurried(Trial $from, array $rank): array
    {
        $loads = $from->loads($this->tasks);
        if ($loads === []) {
            return $rank;
        }
        $paint = array_keys($loads)[$this->random->getInt(0, count($loads) - 1)];
        $k = $this->random->getInt(0, count($loads[$paint]) - 2);
        $hurry = array_fill_keys($loads[$paint][$k + 1], true);
        $before = [];
        foreach (array_reverse($from->timed->order) as $i) {
            foreach ($this->tasks->unlocks[$i] as $next) {
                if (isset($hurry[$next])) {
                    $hurry[$i] = true;
                    break;
                }
            }
        }
        foreach ($from->timed->order as $i) {
            $before[isset($hurry[$i]) ? 0 : 1][] = $i;
        }
        foreach ([...$before[0] ?? [], ...$before[1] ?? []] as $place => $task) {
            $rank[$task] = $place;
        }

        return $rank;
    }

    /**
     * @param  array<int, int>  $putOff
     * @return array<int, int>
     */
    private function without(array $putOff): array
    {
        if ($putOff !== []) {
            $for = array_values(array_unique($putOff));
            $one = $for[$this->random->getInt(0, count($for) - 1)];
            $putOff = array_filter($putOff, static fn (int $each): bool => $each !== $one);
        }

        return $putOff;
    }

    /**
     * A task waits for one that is done soon after it.
     *
     * @param  array<int, int>  $putOff
     * @return array<int, int>
     */
    private function behind(Trial $from, array $putOff): array
    {
        $order = $from->timed->order;
        $at = $this->random->getInt(0, count($order) - 1);
        $for = $order[min(count($order) - 1, $at + $this->random->getInt(1, 6))];
        if ($for !== $order[$at]) {
            $putOff[$order[$at]] = $for;
        }

        return $putOff;
    }

    /**
     * A task goes before work it came after.
     *
     * @param  list<int>  $rank
     * @return list<int>
     */
    private function forward(Trial $from, array $rank): array
    {
        $order = $from->timed->order;
        $at = $this->random->getInt(0, count($order) - 1);
        $to = max(0, $at - $this->random->getInt(1, 30));
        $moved = array_splice($order, $at, 1);
        array_splice($order, $to, 0, $moved);
        foreach ($order as $place => $task) {
            $rank[$task] = $place;
        }

        return $rank;
    }

    /**
     * @param  list<int>  $rank
     * @param  array<int, int>  $putOff
     * @return Trial|null null where what is put off never comes
     */
    private function trial(array $rank, array $putOff): ?Trial
    {
        $timed = (new Dispatcher($this->tasks, $this->calendar, $this->clock, $this->now, $this->guns, $rank, $putOff))->run();

        return count($timed->order) < $this->tasks->count() ? null : new Trial($rank, $putOff, $timed, Score::of($timed, $this->tasks, $this->calendar, $this->now));
    }
}
