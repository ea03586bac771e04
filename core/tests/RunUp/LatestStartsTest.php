<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\RunUp;

use AmberStep\Core\Drying\Room;
use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\RunUp\Bound;
use AmberStep\Core\RunUp\ByPlans;
use AmberStep\Core\RunUp\Slack;
use AmberStep\Core\Tests\Support\SetOfBuilds;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\LatestStarts;
use AmberStep\Core\Timing\Score;
use AmberStep\Core\Timing\Show;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;
use DateTimeZone;
use PHPUnit\Framework\TestCase;

/** Counted back from a show: what is begun in time may make it, what is begun later misses it. */
final class LatestStartsTest extends TestCase
{
    /** Seconds: a minute is the least a step takes, and the count is by the second. */
    private const LATER = 180;

    public function test_a_plan_that_is_in_time_begins_nothing_later_and_what_begins_later_misses_the_show(): void
    {
        $missed = 0;
        foreach (range(1, 12) as $seed) {
            $set = new SetOfBuilds($seed);
            $timetable = $set->plans()->timetable;
            [$tasks, $timed, $clock] = [$timetable->tasks, $timetable->timed, $timetable->clock()];
            $due = self::ends($tasks, $timed);
            $latest = (new LatestStarts($tasks, $timed->order, $due, $set->calendar, $clock))->of;
            self::assertCount($tasks->count(), $latest);
            foreach ($latest as $i => $at) {
                self::assertLessThanOrEqual($at + 60, $timed->start[$i], "set {$seed}: {$tasks->keys[$i]}");
            }
            foreach (array_keys($latest) as $i) {
                if ($i % 23 !== 0) {
                    continue;
                }
                $build = (string) strstr($tasks->keys[$i], ' ', true);
                $late = clone $tasks;
                $late->fixed = array_replace($tasks->fixed, [$i => $set->calendar->earliestFit($latest[$i] + self::LATER, $tasks->seconds[$i] / 60)]);
                $then = (new Dispatcher($late, $set->calendar, $clock, $set->now, $set->bench, range(0, $tasks->count() - 1)))->run();
                self::assertGreaterThan($due[$build], self::ends($tasks, $then)[$build], "set {$seed}: {$tasks->keys[$i]} begun later");
                $missed++;
            }
        }
        self::assertGreaterThan(20, $missed);
    }

    public function test_no_plan_is_below_the_bound(): void
    {
        $near = 0;
        foreach (range(1, 40) as $seed) {
            $set = new SetOfBuilds($seed);
            $timetable = $set->plans()->timetable;
            $bound = new Bound($timetable->tasks, $timetable->timed->order, $set->calendar, $timetable->clock(), $set->now);
            $ends = self::ends($timetable->tasks, $timetable->timed);
            foreach ($ends as $build => $end) {
                self::assertLessThanOrEqual($end, $bound->ready[$build], "set {$seed}, {$build}");
            }
            self::assertLessThanOrEqual(max($ends), $bound->all, "set {$seed}");
            $near += $set->calendar->secondsAtBench($bound->all, max($ends)) <= 7200 ? 1 : 0;
        }
        self::assertGreaterThan(2, $near, 'it says something: of some sets the plan is within an evening of it');
    }

    public function test_the_minutes_of_many_small_jobs_hold_the_bound_up_where_no_chain_does(): void
    {
        $tasks = new Tasks;
        foreach (range(0, 9) as $i) {
            $tasks->keys[] = "b p{$i}/glue/j/1";
            $tasks->seconds[] = 3600;
            $tasks->water[] = 0;
            $tasks->fixed[] = null;
            [$tasks->unlocks[$i], $tasks->arcs[$i]] = [[], []];
        }
        $monday = (int) strtotime('2026-03-02T19:00:00Z');
        $bound = new Bound($tasks, range(0, 9), Calendar::usual(new DateTimeZone('UTC')), new WorkClock(Room::reference($monday)), $monday);

        self::assertSame('2026-03-02T20:00:00Z', gmdate('Y-m-d\TH:i:s\Z', $bound->ready['b']), 'each alone is done in an hour');
        self::assertSame('2026-03-06T21:00:00Z', gmdate('Y-m-d\TH:i:s\Z', $bound->all), 'ten hours fill five evenings');
    }

    public function test_what_is_to_spare_is_none_on_the_thread_of_a_show_that_is_just_made(): void
    {
        foreach (range(1, 8) as $seed) {
            $set = new SetOfBuilds($seed);
            $timetable = $set->plans()->timetable;
            $due = self::ends($timetable->tasks, $timetable->timed);
            $slack = static fn (int $more): Slack => new Slack($timetable->tasks, $timetable->timed, (new LatestStarts($timetable->tasks, $timetable->timed->order, array_map(static fn (int $d): int => $d + $more, $due), $set->calendar, $timetable->clock()))->of, $set->calendar);

            foreach ($slack(0)->seconds as $build => $seconds) {
                self::assertEqualsWithDelta(0, $seconds, 120, "set {$seed}, {$build}");
                self::assertNotSame([], $slack(0)->thread[$build]);
            }
            foreach ($slack(14 * 86400)->seconds as $build => $seconds) {
                self::assertGreaterThan(10 * 3600, $seconds, "set {$seed}, {$build}: two weeks more");
            }
        }
    }

    public function test_a_show_is_due_before_packing_and_the_way_there_also_where_a_clock_change_lies_between(): void
    {
        $zone = new DateTimeZone('Europe/Lisbon');
        $show = Show::on('s', 'Harbour Lights', '2026-03-29', 480, 60, 420, [], $zone);

        self::assertSame('2026-03-29T07:00:00Z', gmdate('Y-m-d\TH:i:s\Z', $show->opensEpoch), 'eight on the wall, in summer time');
        self::assertSame('2026-03-28T23:00:00Z', gmdate('Y-m-d\TH:i:s\Z', $show->dueEpoch), 'eight hours before, not seven');
    }

    public function test_a_missed_show_outweighs_all_that_is_saved_at_the_guns(): void
    {
        $set = new SetOfBuilds(2);
        $timetable = $set->plans()->timetable;
        $ends = self::ends($timetable->tasks, $timetable->timed);
        $score = static fn (array $due): Score => Score::of($timetable->timed, $timetable->tasks, $set->calendar, $set->now, $due);
        $first = array_key_first($ends);

        self::assertSame(0, $score($ends)->late);
        self::assertSame(2 * count($ends), $score([$first => $ends[$first] - 86401])->late, 'a day and a second are two days, of the build that stands first');
        self::assertTrue($score($ends)->isBetterThan($score([$first => $ends[$first] - 1])));
        self::assertSame($score([])->gun, $score($ends)->gun);
    }

    public function test_the_picture_holds_every_step_once_and_says_who_is_late(): void
    {
        foreach (range(1, 6) as $seed) {
            $set = new SetOfBuilds($seed);
            $plans = $set->plans();
            $late = (string) array_key_first($plans->byBuild);
            $due = (int) $plans->byBuild[$late]->finishEpoch() - 2 * 86400;
            $show = Show::on('s', 'Harbour Lights', gmdate('Y-m-d', $due), intdiv($due % 86400, 60), 0, 0, [], new DateTimeZone('UTC'));
            $run = ByPlans::of($plans, [$late => $show], $set->calendar, $set->now);

            $steps = $minutes = [];
            foreach ($run->columns as $column) {
                foreach ($column->blocks as $block) {
                    array_push($steps, ...array_map(static fn (string $key): string => $block->build.' '.$key, $block->steps));
                    $minutes[] = $block->minutes;
                    self::assertLessThanOrEqual($column->untilEpoch, $block->untilEpoch, "set {$seed}");
                    self::assertGreaterThanOrEqual($column->fromEpoch, $block->fromEpoch, "set {$seed}");
                }
            }
            $planned = [];
            foreach ($plans->byBuild as $build => $plan) {
                foreach ($plan->byTime() as $one) {
                    $planned[] = $build.' '.$one->step->key;
                }
            }
            sort($steps);
            sort($planned);
            self::assertSame($planned, $steps, "set {$seed}");
            self::assertTrue($run->runs[0]->isLate());
            self::assertSame(2, $run->runs[0]->daysLate());
            self::assertLessThan(0, $run->runs[0]->spareSeconds);
            self::assertNull(($run->runs[1] ?? null)?->spareSeconds);
        }
    }

    public function test_a_calendar_tells_its_sessions_and_the_last_moment_in_one_that_work_fits_before_another(): void
    {
        $calendar = Calendar::usual(new DateTimeZone('UTC'));
        $at = static fn (string $when): int => (int) strtotime("2026-03-{$when}:00Z");

        self::assertSame([[$at('06T20:00'), $at('06T21:00')], [$at('07T10:00'), $at('07T16:00')], [$at('09T19:00'), $at('09T21:00')]], $calendar->between($at('06T20:00'), $at('10T12:00')));
        self::assertSame($at('07T15:30'), Calendar::usual(new DateTimeZone('UTC'))->latestFit($at('09T05:00'), 1800), 'asked for the first time, over a Sunday');
        self::assertSame($at('09T20:30'), $calendar->latestFit($at('10T12:00'), 1800));
        self::assertSame($at('09T19:10'), $calendar->latestFit($at('09T19:40'), 1800));
        self::assertSame($at('07T13:00'), $calendar->latestFit($at('09T19:20'), 3 * 3600), 'three hours go only into the Saturday');
    }

    /** @return array<string, int> when each build is ready */
    private static function ends(Tasks $tasks, Timed $timed): array
    {
        $ends = [];
        foreach ($timed->end as $i => $end) {
            $build = (string) strstr($tasks->keys[$i], ' ', true);
            $ends[$build] = max($ends[$build] ?? 0, $end);
        }

        return $ends;
    }
}
