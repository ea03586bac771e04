<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Timing;

use AmberStep\Core\Drying\Room;
use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Tests\Timing\Exact\Cases;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\LatestStarts;
use AmberStep\Core\Timing\Loading;
use AmberStep\Core\Timing\Score;
use AmberStep\Core\Timing\Search;
use AmberStep\Core\Timing\StartLists;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;
use DateTimeZone;
use PHPUnit\Framework\TestCase;

/** A coat that decides whether a show is made, while there is work by hand on something else for two evenings. */
final class InTimeTest extends TestCase
{
    private const MONDAY_19 = 1772478000;

    private const TUESDAY_21 = self::MONDAY_19 + 26 * 3600;

    private Tasks $tasks;

    private Calendar $calendar;

    private WorkClock $clock;

    private Bench $bench;

    protected function setUp(): void
    {
        $task = static fn (int $build, int $minutes, int $paint, array $after = [], array $arcs = []): array => ['build' => $build, 'minutes' => $minutes, 'paint' => $paint, 'water' => 0, 'sitting' => -1, 'after' => $after, 'arcs' => $arcs];
        $byHand = array_fill(0, 9, $task(0, 12, -1));
        $case = ['tasks' => [...$byHand, $task(1, 3, 0, [], [[10, 960]]), $task(1, 10, -1, [9])], 'sessions' => [...array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri'], [[1140, 1200]]), 'sat' => [], 'sun' => []], 'paints' => 1, 'guns' => 1, 'cabinet' => []];
        $this->tasks = Cases::tasks($case);
        $this->calendar = new Calendar($case['sessions'], new DateTimeZone('UTC'));
        $this->clock = new WorkClock(Room::reference(self::MONDAY_19));
        $this->bench = new Bench(1, due: ['build1' => self::TUESDAY_21]);
    }

    /** @param  list<int>  $rank */
    private function score(array $rank, Loading $loading): Score
    {
        return Score::of((new Dispatcher($this->tasks, $this->calendar, $this->clock, self::MONDAY_19, $this->bench, $rank, [], $loading))->run(), $this->tasks, $this->calendar, self::MONDAY_19, $this->bench->due);
    }

    public function test_what_has_to_begin_soonest_for_a_show_is_loaded_in_its_turn(): void
    {
        $latest = (new LatestStarts($this->tasks, range(0, 10), $this->bench->due, $this->calendar, $this->clock))->of;
        self::assertEqualsCanonicalizing([9, 10], array_keys($latest), 'of the build with a show alone');
        $lists = iterator_to_array((new StartLists($this->tasks, $this->calendar, self::MONDAY_19, $latest))->ranks(), false);
        self::assertSame(0, $lists[2][9], 'the coat comes first');

        foreach ([Loading::AsItComes, Loading::Patient, Loading::Whole] as $loading) {
            self::assertGreaterThan(0, $this->score($lists[2], $loading)->late, $loading->value);
        }
        self::assertSame(0, $this->score($lists[2], Loading::InTurn)->late);
    }

    public function test_what_was_tried_is_gone_when_it_is_not_asked_of_any_more(): void
    {
        $this->score(range(0, 10), Loading::InTurn);
        gc_collect_cycles();
        gc_disable();
        $before = memory_get_usage();
        for ($i = 0; $i < 200; $i++) {
            $this->score(range(0, 10), Loading::InTurn);
        }
        $more = memory_get_usage() - $before;
        gc_enable();

        self::assertLessThan(100_000, $more, 'a search tries thousands, where nobody looks for circles');
    }

    public function test_a_paint_that_had_to_wait_for_a_soft_mask_is_sprayed_once_that_is_off(): void
    {
        $task = static fn (int $minutes, int $paint, int $sitting, array $after = [], array $arcs = []): array => ['build' => 0, 'minutes' => $minutes, 'paint' => $paint, 'water' => 0, 'sitting' => $sitting, 'after' => $after, 'arcs' => $arcs];
        $tasks = Cases::tasks(['tasks' => [$task(2, -1, 0), $task(3, 0, 0, [0], [[2, 15]]), $task(2, -1, 0, [1]), $task(3, 1, -1)], 'sessions' => $this->calendar->sessions, 'paints' => 2, 'guns' => 2, 'cabinet' => []]);
        $tasks->stays = [2 => [0, 6 * 3600]];
        $tasks->passes[2] = ['the piece'];
        $tasks->shuts[3] = [['the piece', 60.0, 0]];

        $timed = (new Dispatcher($tasks, $this->calendar, $this->clock, self::MONDAY_19, new Bench(2), [0, 1, 2, 3]))->run();

        self::assertSame([0, 1, 2, 3], $timed->order, 'what is sprayed on the same piece would keep the mask on');
        self::assertLessThan(self::MONDAY_19 + 3600, $timed->start[3], 'and goes on the same evening');
    }

    public function test_without_a_show_no_list_is_for_one(): void
    {
        self::assertCount(2, iterator_to_array((new StartLists($this->tasks, $this->calendar, self::MONDAY_19, []))->ranks(), false));
    }

    public function test_nothing_is_put_off_for_which_a_mask_stays_on_too_long(): void
    {
        $task = static fn (int $build, int $minutes, int $paint, array $after = [], array $arcs = []): array => ['build' => $build, 'minutes' => $minutes, 'paint' => $paint, 'water' => 0, 'sitting' => -1, 'after' => $after, 'arcs' => $arcs];
        $this->tasks = Cases::tasks(['tasks' => [$task(0, 6, -1), $task(0, 3, 0, [0]), $task(0, 2, -1, [1], [[2, 60]]), $task(1, 10, -1, [], [[4, 5 * 1440]]), $task(1, 3, 0, [3])], 'sessions' => $this->calendar->sessions, 'paints' => 1, 'guns' => 1, 'cabinet' => []]);
        $this->tasks->arcs[1] = [[2, 60.0, 0, 0, null]];
        $this->tasks->arcs[2] = [];

        $loose = $this->found();
        self::assertSame(600, $loose->gunSeconds(), 'one loading for both, days after the mask was laid');
        $this->tasks->comesOff = [2 => [0, 2 * 86400]];
        self::assertSame(1, $loose->overstays($this->tasks));
        self::assertSame(0, $this->found()->overstays($this->tasks), 'it is laid later, or sprayed sooner');
    }

    private function found(): Timed
    {
        $hints = (new Search($this->tasks, $this->calendar, $this->clock, self::MONDAY_19, new Bench(1), 1, 20))->run(new Hints, static fn (): bool => true) ?? new Hints;

        return (new Dispatcher($this->tasks, $this->calendar, $this->clock, self::MONDAY_19, new Bench(1), $hints->ranks($this->tasks), $hints->putOffs(array_flip($this->tasks->keys)), $hints->loading))->run();
    }

    public function test_a_search_finds_it_whatever_its_seed(): void
    {
        foreach ([1, 2] as $seed) {
            $hints = (new Search($this->tasks, $this->calendar, $this->clock, self::MONDAY_19, $this->bench, $seed, 10))->run(new Hints, static fn (): bool => true) ?? new Hints;
            $timed = (new Dispatcher($this->tasks, $this->calendar, $this->clock, self::MONDAY_19, $this->bench, $hints->ranks($this->tasks), $hints->putOffs(array_flip($this->tasks->keys)), $hints->loading))->run();

            self::assertLessThanOrEqual(self::TUESDAY_21, $timed->end[10], "seed {$seed}");
        }
    }
}
