<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\RunUp;

use AmberStep\Core\Plan\Timetable;
use AmberStep\Core\RunUp\Chance;
use AmberStep\Core\Tests\Support\SetOfBuilds;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Dispatcher;
use PHPUnit\Framework\TestCase;

/** How likely a show is made, against another simulation that draws in another way. */
final class ChanceTest extends TestCase
{
    /** Of a hundred. */
    private const NEAR = 3.0;

    private const PLAIN = 2000;

    public function test_it_is_within_three_of_a_hundred_of_a_plain_simulation(): void
    {
        $between = 0;
        foreach ([15, 33, 42] as $seed) {
            $set = new SetOfBuilds($seed);
            $timetable = $set->plans()->timetable;
            $ends = self::plain($set, $timetable);
            // A day on which it is open whether all are ready.
            sort($ends);
            $due = $ends[intdiv(9 * count($ends), 10)] + 60;
            $plain = 100 * count(array_filter($ends, static fn (int $end): bool => $end <= $due)) / count($ends);
            $chance = self::chance($set, $timetable, array_fill_keys(array_keys($set->builds), $due));

            self::assertEqualsWithDelta($plain, 100 * $chance->allInTime / $chance->draws, self::NEAR, "set {$seed}");
            $between += $plain > 50 && $plain < 99 ? 1 : 0;
        }
        self::assertGreaterThan(1, $between, 'cases that could go either way');
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
        $tasks = $timetable->tasks;
        $sprayed = [];
        foreach ($tasks->keys as $i => $key) {
            if ($tasks->paint[$i] >= 0) {
                $sprayed[explode('/', $key)[0]] = $i;
            }
        }
        $rank = array_flip($timetable->timed->order);
        $ends = [];
        for ($n = 0; $n < self::PLAIN; $n++) {
            $drawn = clone $tasks;
            foreach ($tasks->seconds as $i => $seconds) {
                $dice = -6.0;
                for ($d = 0; $d < 12; $d++) {
                    $dice += mt_rand() / mt_getrandmax();
                }
                $drawn->seconds[$i] = (int) max(60, 60 * round($seconds / 60 * M_E ** (0.35 * $dice)));
                $drawn->water[$i] = min($tasks->water[$i], $drawn->seconds[$i] - 60);
            }
            foreach ($sprayed as $i) {
                if (mt_rand(1, 12) === 12) {
                    $drawn->seconds[$i] += 25 * 60;
                    foreach ($tasks->unlocks[$i] as $next) {
                        $drawn->arcs[$i][] = [$next, 1440.0, 0, 0, null];
                    }
                }
            }
            $ends[] = max((new Dispatcher($drawn, $set->calendar, $timetable->clock(), $set->now, $set->bench, $rank))->run()->end);
        }

        return $ends;
    }
}
