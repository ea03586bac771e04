<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\RunUp;

use AmberStep\Core\Plan\Thread;
use AmberStep\Core\Plan\Timetable;
use AmberStep\Core\RunUp\Chance;
use AmberStep\Core\Tests\Support\SetOfBuilds;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\Hands;
use AmberStep\Core\Timing\Tasks;
use DateTimeZone;
use PHPUnit\Framework\TestCase;

/** How likely a show is made, against another simulation that draws in another way. */
final class ChanceTest extends TestCase
{
    /** Of a hundred. */
    private const NEAR = 3.0;

    private const PLAIN = 2000;

    /** Walks through the rules take longer. */
    private const WALKS = 600;

    /** Small sets; in the last a cabinet shortens what decides. */
    private const SETS = [15, 33, 42];

    public function test_it_is_within_three_of_a_hundred_of_a_plain_simulation(): void
    {
        self::assertNearChance(self::plain(...));
    }

    public function test_it_is_within_three_of_a_hundred_where_every_rule_is_asked_in_each_draw(): void
    {
        self::assertNearChance(self::asked(...));
    }

    /** @param  callable(SetOfBuilds, Timetable): list<int>  $simulated  when the last build is ready, of each draw */
    private static function assertNearChance(callable $simulated): void
    {
        $between = 0;
        foreach (self::SETS as $seed) {
            $set = new SetOfBuilds($seed);
            $timetable = $set->plans()->timetable;
            $ends = $simulated($set, $timetable);
            // A day on which it is open whether all are ready.
            sort($ends);
            $due = $ends[intdiv(9 * count($ends), 10)] + 60;
            $share = 100 * count(array_filter($ends, static fn (int $end): bool => $end <= $due)) / count($ends);
            $chance = self::chance($set, $timetable, array_fill_keys(array_keys($set->builds), $due));

            self::assertEqualsWithDelta($share, 100 * $chance->allInTime / $chance->draws, self::NEAR, "set {$seed}");
            $between += $share > 50 && $share < 99 ? 1 : 0;
        }
        self::assertGreaterThan(1, $between, 'cases that could go either way');
    }

    /**
     * The same evenings again, but walked through with the rules of the trade: what holds a step is what they say of the model as
     * it is by then, and no arc is believed.
     *
     * @return list<int> when the last build is ready, of each draw
     */
    private static function asked(SetOfBuilds $set, Timetable $timetable): array
    {
        mt_srand(1213);
        $threads = $of = [];
        foreach ($timetable->threads as $build => $thread) {
            $threads[$build] = $thread;
            foreach ($thread->steps as $step) {
                $of[] = [$build, $step];
            }
        }
        $rank = array_flip($timetable->timed->order);
        $ends = [];
        for ($n = 0; $n < self::WALKS; $n++) {
            [$drawn, $faults] = self::drawn($timetable->tasks);
            $order = (new Dispatcher($drawn, $set->calendar, $timetable->clock(), $set->now, $set->bench, $rank))->run()->order;
            $model = array_map(static fn (Thread $t): Thread => $t->anew(), $threads);
            $hands = new Hands($drawn, $set->calendar, $timetable->clock(), $set->now, $set->bench);
            $remedies = [];
            foreach ($order as $i) {
                [$build, $step] = $of[$i];
                $hands->held->tell($i, [...Thread::shut($model[$build]->holds($step)), ...$remedies[$i] ?? []], $hands->now);
                $hands->take($i, $hands->now);
                $model[$build]->do($step, $hands->end[$i]);
                foreach (isset($faults[$i]) ? $drawn->unlocks[$i] : [] as $next) {
                    $remedies[$next][] = [$hands->end[$i], $hands->end[$i] + 86400];
                }
            }
            $ends[] = max($hands->end);
        }

        return $ends;
    }

    public function test_minutes_whose_spread_was_learned_spread_by_it(): void
    {
        $set = new SetOfBuilds(33);
        $timetable = $set->plans()->timetable;
        $width = static function (float $spread) use ($set, $timetable): int {
            $ready = (new Chance($timetable->tasks, $timetable->timed, Calendar::usual(new DateTimeZone('UTC'))->with(self::always($set->now)), $timetable->clock(), $set->now, $set->bench, array_fill(0, $timetable->tasks->count(), $spread), 100))->ready['b0'];

            return $ready[89] - $ready[10];
        };

        self::assertGreaterThan($width(0.1), $width(0.9));
    }

    /** @return array<string, list<array{int, int}>> a month in which one is at the bench day and night */
    private static function always(int $now): array
    {
        $days = [];
        for ($i = 0; $i < 30; $i++) {
            $days[gmdate('Y-m-d', $now + 86400 * $i)] = [[0, 1440]];
        }

        return $days;
    }

    public function test_the_same_seed_draws_the_same_and_whoever_stops_it_has_what_was_drawn(): void
    {
        $set = new SetOfBuilds(2);
        $timetable = $set->plans()->timetable;
        [$one, $other] = [self::chance($set, $timetable, [], 30), self::chance($set, $timetable, [], 30)];
        self::assertSame($one->ready, $other->ready);
        self::assertSame(30, $one->allInTime, 'with no show none is missed');
        foreach ($set->builds as $build => $_) {
            self::assertCount(30, $one->ready[$build]);
            self::assertLessThanOrEqual($one->readyIn($build, 9), $one->readyIn($build, 5));
            self::assertSame(0, $one->inTime($build, $set->now));
            self::assertSame(30, $one->inTime($build, PHP_INT_MAX));
        }
        $left = 7;
        $stopped = new Chance($timetable->tasks, $timetable->timed, $set->calendar, $timetable->clock(), $set->now, $set->bench, [], 30, static function () use (&$left): bool {
            return $left-- > 0;
        });
        self::assertSame(7, $stopped->draws);
    }

    /** @param  array<string, int>  $due */
    private static function chance(SetOfBuilds $set, Timetable $timetable, array $due, int $draws = Chance::DRAWS): Chance
    {
        return new Chance($timetable->tasks, $timetable->timed, $set->calendar, $timetable->clock(), $set->now, new Bench($set->bench->guns, $set->bench->cabinet, $set->bench->places, $due), [], $draws);
    }

    /** @return list<int> when the last build is ready, of each draw: twelve dice for the spread, a fault by the day's luck */
    private static function plain(SetOfBuilds $set, Timetable $timetable): array
    {
        mt_srand(4711);
        $rank = array_flip($timetable->timed->order);
        $ends = [];
        for ($n = 0; $n < self::PLAIN; $n++) {
            $ends[] = max((new Dispatcher(self::drawn($timetable->tasks)[0], $set->calendar, $timetable->clock(), $set->now, $set->bench, $rank))->run()->end);
        }

        return $ends;
    }

    /** @return array{Tasks, array<int, true>} with minutes as the dice have them, and the tasks that go wrong */
    private static function drawn(Tasks $tasks): array
    {
        $drawn = clone $tasks;
        $sprayed = $faults = [];
        foreach ($tasks->seconds as $i => $seconds) {
            $dice = -6.0;
            for ($d = 0; $d < 12; $d++) {
                $dice += mt_rand() / mt_getrandmax();
            }
            $drawn->seconds[$i] = (int) max(60, 60 * round($seconds / 60 * M_E ** (0.35 * $dice)));
            $drawn->water[$i] = min($tasks->water[$i], $drawn->seconds[$i] - 60);
            if ($tasks->paint[$i] >= 0) {
                $sprayed[explode('/', $tasks->keys[$i])[0]] = $i;
            }
        }
        foreach ($sprayed as $i) {
            if (mt_rand(1, 12) === 12) {
                $faults[$i] = true;
                $drawn->seconds[$i] += 25 * 60;
                foreach ($tasks->unlocks[$i] as $next) {
                    $drawn->arcs[$i][] = [$next, 1440.0, 0, 0, null];
                }
            }
        }

        return [$drawn, $faults];
    }
}
