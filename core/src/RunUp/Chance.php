<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * How likely it is to make the shows (handbook 10, Slack and chance): all timed again and again with what goes first as the
 * plan has it, each time with minutes that turn out otherwise and now and then a fault. The same seed draws the same.
 */
final readonly class Chance
{
    public const DRAWS = 400;

    /** Of the logarithm of a step's minutes, until its own is known: the middle of them is what was planned. */
    private const SPREAD = 0.35;

    /** Of so many sprayed pieces one has a fault. */
    private const ONE_IN = 12;

    /** What the remedy of a fault takes: it dries for a day, then it is sanded, wiped and sprayed again. Seconds at the bench, minutes of waiting. */
    private const REMEDY = [1500, 1440.0];

    /** @var array<string, list<int>> by build: when it is ready, of each draw, the soonest first */
    public array $ready;

    /** How many draws make every show. */
    public int $allInTime;

    /** How often it was drawn. */
    public int $draws;

    /**
     * @param  Bench  $bench  knows by when each build has to be ready
     * @param  array<int, float>  $spreads  by task, of the logarithm of its minutes, where it was learned
     * @param  int  $draws  as often as it is drawn
     * @param  (callable(): bool)|null  $goesOn  asked before each draw; false: so many draws it was
     */
    public function __construct(private Tasks $tasks, Timed $plan, Calendar $calendar, WorkClock $clock, int $now, Bench $bench, private array $spreads = [], int $draws = self::DRAWS, ?callable $goesOn = null, int $seed = 10)
    {
        $random = new Randomizer(new Mt19937($seed));
        $last = $this->lastCoats();
        $builds = array_map(static fn (string $key): string => (string) strstr($key, ' ', true), $tasks->keys);
        $rank = array_flip($plan->order);
        $ready = [];
        $inTime = 0;
        $n = 0;
        for (; $n < $draws && ($goesOn === null || $goesOn()); $n++) {
            $ends = [];
            foreach ((new Dispatcher($this->drawn($random, $last), $calendar, $clock, $now, $bench, $rank))->run()->end as $i => $end) {
                $ends[$builds[$i]] = max($ends[$builds[$i]] ?? 0, $end);
            }
            $inTime += array_filter($ends, static fn (int $end, string $build): bool => $end > ($bench->due[$build] ?? PHP_INT_MAX), ARRAY_FILTER_USE_BOTH) === [] ? 1 : 0;
            foreach ($ends as $build => $end) {
                $ready[$build][] = $end;
            }
        }
        foreach ($ready as &$ends) {
            sort($ends);
        }
        [$this->ready, $this->allInTime, $this->draws] = [$ready, $inTime, $n];
    }

    /** How many draws have a build ready by a moment. */
    public function inTime(string $build, int $due): int
    {
        return count(array_filter($this->ready[$build] ?? [], static fn (int $end): bool => $end <= $due));
    }

    /** By when a build is ready in so many of ten draws. */
    public function readyIn(string $build, int $ofTen): ?int
    {
        $ends = $this->ready[$build] ?? [];

        return $ends[max(0, (int) ceil(count($ends) * $ofTen / 10) - 1)] ?? null;
    }

    /** @return list<int> the last coat of each piece that is sprayed: where a fault is seen */
    private function lastCoats(): array
    {
        $last = [];
        foreach ($this->tasks->keys as $i => $key) {
            if ($this->tasks->paint[$i] >= 0) {
                $last[substr($key, 0, (int) strpos($key, '/'))] = $i;
            }
        }

        return array_values($last);
    }

    /** @param  list<int>  $last */
    private function drawn(Randomizer $random, array $last): Tasks
    {
        $drawn = clone $this->tasks;
        $drawn->seconds = array_map(fn (int $i, int $s): int => max(60, (int) round($s * exp(($this->spreads[$i] ?? self::SPREAD) * self::normal($random)) / 60) * 60), array_keys($this->tasks->seconds), $this->tasks->seconds);
        // What is saved of a washing is never more than it takes.
        $drawn->water = array_map(static fn (int $water, int $s): int => min($water, $s - 60), $this->tasks->water, $drawn->seconds);
        foreach ($last as $i) {
            if ($random->getInt(1, self::ONE_IN) === 1) {
                $drawn->seconds = array_values(array_replace($drawn->seconds, [$i => $drawn->seconds[$i] + self::REMEDY[0]]));
                foreach ($this->tasks->unlocks[$i] as $next) {
                    $drawn->arcs[$i][] = [$next, self::REMEDY[1], 0, 0, null];
                }
            }
        }

        return $drawn;
    }

    /** Of the middle 0 and the spread 1, from two even draws. */
    private static function normal(Randomizer $random): float
    {
        return sqrt(-2 * log(1 - self::even($random))) * cos(2 * M_PI * self::even($random));
    }

    /** From 0 to 1, and never 1. */
    private static function even(Randomizer $random): float
    {
        return $random->getInt(0, 2 ** 31 - 1) / 2 ** 31;
    }
}
