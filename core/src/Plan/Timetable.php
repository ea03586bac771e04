<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Calm;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\Hands;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Joined;
use AmberStep\Core\Timing\Promise;
use AmberStep\Core\Timing\Score;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;
use AmberStep\Core\Timing\Told;

/**
 * All builds in one pair of hands. What is done next is decided over arcs; then the builds that are shown are walked
 * through in that order, every rule asked, and what the rules say stands. Where a walk finds waits that no arc told of, it
 * is decided anew with these.
 */
final class Timetable
{
    /** Walks beyond the first. */
    private const AGAIN = 2;

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

    /** What was promised stands; else half an hour and more is won at the end by leaving it. */
    public bool $keeps = true;

    private int $off = 0;

    /** @var list<int>|null */
    private ?array $rank = null;

    /**
     * @param  array<array-key, Problem|Neighbour>  $builds  in the user's order; neighbours are timed by arcs
     */
    public function __construct(array $builds, private readonly RuleBook $rules, private readonly Calendar $calendar, private readonly int $now, private readonly Bench $bench = new Bench, private readonly Hints $hints = new Hints, private readonly Promise $promise = new Promise)
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
        $this->tasks = Joined::of($tasks);
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
        $told = $this->promise->of($this->places);
        for ($i = 0; $i <= self::AGAIN; $i++) {
            $wanted = $this->decided($told);
            // A show that is missed by what was promised is reason enough to look for another way, though all could be kept.
            $asks = $told !== null && ($told->isLeftBy($wanted, $this->calendar) || $this->score($wanted)->late > 0);
            if ($asks && $this->score($anew = $this->decided(null))->wins($this->score($wanted), Calm::WORTH)) {
                [$told, $wanted, $this->keeps] = [null, $anew, false];
            }
            $timed = $this->walk($wanted, $i === 0);
            $score = $this->score($timed);
            if (! isset($best) || $score->isBetterThan($best)) {
                $best = $score;
                $this->timed = $timed;
                $found = [$this->holds, $this->threads];
            }
            if ($this->off <= self::NEAR_ENOUGH || $i === self::AGAIN || $told?->isKeptBy($timed, self::NEAR_ENOUGH) === true) {
                break;
            }
            $told = $told?->trusting($timed->start, self::NEAR_ENOUGH);
            $this->learn($arcs);
            foreach ($this->threads as $id => $thread) {
                $this->threads[$id] = $thread->anew();
            }
        }
        [$this->holds, $this->threads] = $found ?? [$this->holds, $this->threads];
        $this->plan();
    }

    private function decided(?Told $told): Timed
    {
        $this->rank ??= $this->hints->ranks($this->tasks);

        return (new Dispatcher($this->tasks, $this->calendar, $this->clock(), $this->now, $this->bench, $this->rank, $this->hints->putOffs($this->places), $this->hints->loading, $told))->run();
    }

    private function score(Timed $timed): Score
    {
        return Score::of($timed, $this->tasks, $this->calendar, $this->now, $this->bench->due);
    }

    /** Whether it is worth taking instead: better by what counts, and no mask stays on too long for it. */
    public function isBetterThan(self $other): bool
    {
        return $this->score($this->timed)->isBetterThan($other->score($other->timed)) && $this->timed->overstays($this->tasks) <= $other->timed->overstays($other->tasks);
    }

    /** What the hands are told by it: kept, it stays when they ask again. */
    public function promise(): Promise
    {
        return Promise::by($this->timed, $this->tasks, $this->calendar);
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
        $walk = new Walk($this->threads, $this->tasks, $this->of, $this->calendar, new Hands($this->tasks, $this->calendar, $this->clock(), $this->now, $this->bench));
        $timed = $walk->through($wanted);
        [$this->holds, $this->off] = [$walk->holds, $walk->off];
        if ($first) {
            $this->unheard = $walk->unheard;
        }

        return $timed;
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

    /** @return array<int, float> how far the minutes of a task spread, of those of which it was learned */
    public function spreads(): array
    {
        $spreads = [];
        foreach ($this->of as $i => [$id, $place]) {
            $spreads[$i] = isset($this->threads[$id]) ? $this->threads[$id]->spread($this->threads[$id]->steps[$place]) : null;
        }

        return array_filter($spreads, static fn (?float $spread): bool => $spread !== null);
    }

    /** @return list<string> keys of all tasks as the hands take them */
    public function order(): array
    {
        return array_map(fn (int $i): string => $this->tasks->keys[$i], $this->timed->order);
    }

    public function clock(): \AmberStep\Core\Drying\WorkClock
    {
        foreach ($this->threads as $thread) {
            return $thread->problem->waits->clock;
        }

        throw new \LogicException('a timetable is of a build');
    }
}
