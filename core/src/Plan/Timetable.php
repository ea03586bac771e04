<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\Hands;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Score;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;

/**
 * All builds in one pair of hands. What is done next is decided over arcs; then the builds that are shown are walked
 * through in that order, every rule asked, and what the rules say stands. Where a walk finds waits that no arc told of, it
 * is decided anew with these.
 */
final class Timetable
{
    /** Walks beyond the first. */
    private const AGAIN = 2;

    private const MINUTE = 60;

    /** Seconds by which a walk may differ from what the arcs said without being decided anew. */
    private const NEAR_ENOUGH = 600;

    /** @var array<array-key, Thread> by build: those the rules are asked of */
    public array $threads = [];

    /** @var array<array-key, Neighbour> by build: how the others see those */
    public array $neighbours = [];

    public readonly Tasks $tasks;

    public Timed $timed;

    /** @var array<array-key, array<string, PlannedStep>> by build and key, in each plan's order */
    public array $planned = [];

    /** @var list<array{string, int}> build and place in it, of each task */
    private array $of = [];

    /** @var array<string, int> number of each task, by build and key with a blank between */
    private array $places = [];

    /** @var array<int, list<Hold>> of each task, as the last walk found them */
    private array $holds = [];

    /** @var list<\AmberStep\Core\Mixing\Need|null> what each task takes of its paint */
    private array $needs = [];

    /** @var list<string> keys of what a rule held longer than the arcs had it, when it was walked through first */
    public array $unheard = [];

    private float $off = 0;

    /**
     * @param  array<array-key, Problem|Neighbour>  $builds  in the user's order; neighbours are timed by arcs
     */
    public function __construct(array $builds, private readonly RuleBook $rules, private readonly Calendar $calendar, private readonly int $now, private readonly int $guns = 1, private readonly Hints $hints = new Hints)
    {
        $tasks = [];
        foreach ($builds as $id => $build) {
            if ($build instanceof Problem) {
                $this->threads[$id] = new Thread($build, $rules);
                $build = $this->neighbours[$id] = Neighbour::of($this->threads[$id]->anew(), (string) $id);
            }
            foreach ($build->tasks->keys as $place => $key) {
                $this->places[$key] = count($this->of);
                $this->of[] = [(string) $id, $place];
            }
            array_push($this->needs, ...$build->needs);
            $tasks[] = $build->tasks;
        }
        $this->tasks = Tasks::joined($tasks);
        $this->work();
    }

    private function work(): void
    {
        $arcs = [];
        foreach ($this->threads as $id => $thread) {
            $prefix = $id.' ';
            $own = [];
            foreach ($thread->steps as $step) {
                $own[$step->key] = $this->places[$prefix.$step->key];
            }
            $arcs[$id] = new Arcs($this->tasks, $own, $thread->gates);
        }
        $clock = $this->clock();
        $rank = $this->hints->ranks($this->tasks);
        $putOff = $this->hints->putOffs($this->places);
        for ($i = 0; $i <= self::AGAIN; $i++) {
            $wanted = (new Dispatcher($this->tasks, $this->calendar, $clock, $this->now, $this->guns, $rank, $putOff, $this->hints->patient))->run();
            $timed = $this->walk($wanted, $i === 0);
            $score = Score::of($timed, $this->tasks, $this->calendar, $this->now);
            if (! isset($best) || $score->isBetterThan($best)) {
                $best = $score;
                $this->timed = $timed;
                $found = [$this->holds, $this->threads];
            }
            if ($this->off <= self::NEAR_ENOUGH || $i === self::AGAIN) {
                break;
            }
            $this->learn($arcs);
            foreach ($this->threads as $id => $thread) {
                $this->threads[$id] = $thread->anew();
            }
        }
        [$this->holds, $this->threads] = $found ?? [$this->holds, $this->threads];
        $this->plan();
    }

    /**
     * What the last walk found that no arc told of.
     *
     * @param  array<array-key, Arcs>  $arcs  by build
     */
    private function learn(array $arcs): void
    {
        foreach ($arcs as $each) {
            $each->walkAgain();
        }
        foreach ($this->holds as $i => $holds) {
            $arcs[$this->of[$i][0]]->add($i, $holds);
        }
    }

    private function walk(Timed $wanted, bool $first): Timed
    {
        $hands = new Hands($this->tasks, $this->calendar, $this->clock(), $this->now, $this->guns);
        $this->holds = [];
        $this->off = 0;
        foreach ($wanted->order as $i) {
            [$id, $place] = $this->of[$i];
            $thread = $this->threads[$id] ?? null;
            if ($thread === null) {
                $hands->take($i, $hands->now);

                continue;
            }
            $step = $thread->steps[$place];
            $this->holds[$i] = $thread->holds($step);
            $by = $hands->startOf($i, $hands->now);
            $hands->held->tell($i, self::shut($this->holds[$i]), $hands->now);
            $late = $hands->startOf($i, $hands->now) - $by;
            $this->off = max($this->off, abs($late));
            if ($first && $late > self::MINUTE) {
                $this->unheard[] = $this->tasks->keys[$i];
            }
            $hands->take($i, $hands->now);
            $thread->do($step, $hands->end[$i]);
        }
        $hands->finish();

        return Timed::by($hands);
    }

    private function plan(): void
    {
        foreach ($this->threads as $id => $thread) {
            foreach ($thread->steps as $place => $step) {
                $i = $this->places[$id.' '.$step->key];
                $minutes = $thread->minutes($step);
                $short = $this->tasks->seconds[$i] - ($this->timed->end[$i] - $this->timed->start[$i]);
                $this->planned[$id][$step->key] = new PlannedStep($step, $place, $this->timed->start[$i], $this->timed->end[$i], $minutes - $short / 60, $this->holds[$i], $thread->waiting);
            }
        }
    }

    /** Cleanings and mixings, by build. */
    public function atTheGun(): AtTheGun
    {
        $of = [];
        foreach ($this->of as $i => [$id, $place]) {
            $of[] = [$id, isset($this->threads[$id]) ? $this->threads[$id]->steps[$place] : null, $this->needs[$i]];
        }

        return new AtTheGun($this->threads === [] ? throw new \LogicException('a timetable is of a build') : $this->threads, $this->tasks, $this->timed, $of);
    }

    /** @return iterable<array{string, int, int, int}> build, place in it, begin and end of each task of builds that are not looked into, by time */
    public function ofNeighbours(): iterable
    {
        foreach ($this->timed->order as $i) {
            [$id, $place] = $this->of[$i];
            if (! isset($this->threads[$id])) {
                yield [$id, $place, $this->timed->start[$i], $this->timed->end[$i]];
            }
        }
    }

    /** @return list<string> keys of all tasks as the hands take them */
    public function order(): array
    {
        return array_map(fn (int $i): string => $this->tasks->keys[$i], $this->timed->order);
    }

    private function clock(): \AmberStep\Core\Drying\WorkClock
    {
        foreach ($this->threads as $thread) {
            return $thread->problem->waits->clock;
        }

        throw new \LogicException('a timetable is of a build');
    }

    /**
     * @param  list<Hold>  $holds
     * @return list<array{int, int}>
     */
    private static function shut(array $holds): array
    {
        $shut = [];
        foreach ($holds as $hold) {
            if ($hold->untilEpoch > $hold->fromEpoch) {
                $shut[] = [$hold->fromEpoch, $hold->untilEpoch];
            }
        }

        return $shut;
    }
}
