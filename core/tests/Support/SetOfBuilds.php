<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Neighbour;
use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\Plan\Thread;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Joined;
use AmberStep\Core\Timing\OrderSearch;
use AmberStep\Core\Timing\Promise;
use AmberStep\Core\Timing\Search;
use AmberStep\Core\Timing\SprayPlace;
use AmberStep\Core\Timing\Tasks;

/** Several random builds on one bench, at one moment. */
final class SetOfBuilds
{
    /** @var array<string, Build> */
    public array $builds = [];

    public Calendar $calendar;

    public int $guns;

    public Bench $bench;

    public int $now;

    public function __construct(public readonly int $seed)
    {
        $random = new RandomBuild($seed);
        for ($i = 0, $n = $random->one([1, 2, 2, 3, 4, 6]); $i < $n; $i++) {
            $said = (new RandomBuild(1000 * $seed + $i))->said();
            $this->builds["b{$i}"] = new Build($seed % 3 === 0 ? ['house' => ['drying' => 'cabinet', ...$said['house']]] + $said : $said);
        }
        $this->now = $this->builds['b0']->now;
        $this->guns = $random->one([1, 1, 2, 3]);
        // Every third bench is cramped: few places in the cabinet, and spraying only until half past eight.
        $this->bench = $seed % 3 === 0 ? new Bench($this->guns, 1 + $seed % 2, [new SprayPlace('balcony', 600, 960), new SprayPlace('kitchen', 1140, 1230)]) : new Bench($this->guns);
        $this->calendar = Calendar::usual($this->builds['b0']->zone);
    }

    /** @return array<string, Problem> */
    public function problems(): array
    {
        $rules = Compiler::ofTheTrade()->rules;

        return array_map(fn (Build $b): Problem => Problem::of($b->kit, (new HouseRules)->with($b->kit->house), $b->shelf, $b->events, $this->builds['b0']->roomAt($this->now), $this->now, $b->experience, $rules), $this->builds);
    }

    public function plans(Hints $hints = new Hints, Promise $promise = new Promise): Plans
    {
        return Compiler::ofTheTrade()->plans($this->problems(), $this->calendar, $this->now, $this->bench, $hints, $promise);
    }

    /** What a search finds for them. */
    public function searched(Hints $before = new Hints, int $seed = 7, int $trials = 40): Hints
    {
        [$tasks, $clock] = $this->tasks();

        return (new Search($tasks, $this->calendar, $clock, $this->now, $this->bench, $seed, $trials))->run($before, static fn (): bool => true) ?? $before;
    }

    /** What a search of the order itself finds after that. */
    public function ordered(Hints $before, int $seed = 7, int $trials = 40): Hints
    {
        [$tasks, $clock] = $this->tasks();

        return (new OrderSearch($tasks, $this->calendar, $clock, $this->now, $this->bench, $seed, $trials))->run($before, static fn (): bool => true) ?? $before;
    }

    /** @return array{Tasks, WorkClock} of all of them */
    public function tasks(): array
    {
        $rules = Compiler::ofTheTrade()->rules;
        $problems = $this->problems();
        $tasks = array_map(static fn (Problem $problem, string $id): Tasks => Neighbour::of(new Thread($problem, $rules), $id)->tasks, $problems, array_keys($problems));

        return [Joined::of($tasks), $problems['b0']->waits->clock];
    }

    /** One of them looked into, the others known by what they told. */
    public function plansOf(string $build): Plans
    {
        $rules = Compiler::ofTheTrade();
        $builds = [];
        foreach ($this->problems() as $id => $problem) {
            $builds[$id] = $id === $build ? $problem : Neighbour::of(new Thread($problem, $rules->rules), $id);
        }

        return $rules->plans($builds, $this->calendar, $this->now, $this->bench);
    }
}
