<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Timing;

use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Tests\Support\SetOfBuilds;
use AmberStep\Core\Timing\Calm;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\Following;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Keeping;
use AmberStep\Core\Timing\Loading;
use AmberStep\Core\Timing\OrderSearch;
use AmberStep\Core\Timing\Replay;
use AmberStep\Core\Timing\Search;
use AmberStep\Core\Timing\Sequence;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;
use AmberStep\Core\Timing\Ways;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Orders of many tasks: changed so that nothing is broken, timed from where they differ, kept to with little put off, searched. */
final class OrdersTest extends TestCase
{
    /** @return iterable<int, array{SetOfBuilds, Tasks, WorkClock}> */
    private static function sets(int $from, int $until): iterable
    {
        foreach (range($from, $until) as $seed) {
            $set = new SetOfBuilds($seed);
            yield $seed => [$set, ...$set->tasks()];
        }
    }

    private static function taken(SetOfBuilds $set, Tasks $tasks, WorkClock $clock, Loading $loading = Loading::AsItComes): Timed
    {
        return (new Dispatcher($tasks, $set->calendar, $clock, $set->now, $set->bench, array_keys($tasks->keys), [], $loading))->run();
    }

    /**
     * @param  list<int>  $order
     * @return list<int>
     */
    private static function changed(array $order, Following $following, Randomizer $random): array
    {
        $from = $random->getInt(0, count($order) - 2);
        $until = min(count($order) - 1, $from + $random->getInt(1, 40));

        return $random->getInt(0, 1) === 0 ? $following->sooner($order, $from, $until, [$order[$until] => true]) : $following->later($order, $from, $until, [$order[$from] => true]);
    }

    public function test_an_order_is_timed_no_later_than_the_hands_took_it(): void
    {
        foreach (self::sets(12, 32) as $seed => [$set, $tasks, $clock]) {
            $taken = self::taken($set, $tasks, $clock);
            $timed = (new Sequence($tasks, $set->calendar, $clock, $set->now, $set->bench))->timed($taken->order);
            foreach ($taken->start as $i => $start) {
                self::assertLessThan($start + 3600, $timed->start[$i] ?? PHP_INT_MAX, "set {$seed}: {$tasks->keys[$i]}");
            }
        }
    }

    public function test_a_changed_order_breaks_nothing_and_is_timed_from_where_it_differs_as_from_its_begin(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $timed = 0;
        foreach (self::sets(1, 8) as $seed => [$set, $tasks, $clock]) {
            $following = new Following($tasks);
            $sequence = new Sequence($tasks, $set->calendar, $clock, $set->now, $set->bench);
            $replay = new Replay($tasks, $set->calendar, $clock, $set->now, $set->bench);
            $order = self::taken($set, $tasks, $clock)->order;
            for ($n = 0; $n < 25; $n++) {
                $changed = self::changed($order, $following, $random);
                $whole = $sequence->timed($changed);
                self::assertNotNull($whole, "set {$seed}: nothing comes before what it waits for");
                $again = $replay->timed($changed);
                if ($again !== null) {
                    self::assertEquals($whole, $again, "set {$seed}");
                    $timed++;
                    $order = $n % 3 === 0 ? $changed : $order;
                    $replay->keep($order);
                }
            }
        }
        self::assertGreaterThan(120, $timed);
    }

    public function test_what_begins_too_late_is_not_timed_to_the_end(): void
    {
        foreach (self::sets(4, 4) as [$set, $tasks, $clock]) {
            $taken = self::taken($set, $tasks, $clock);
            $replay = new Replay($tasks, $set->calendar, $clock, $set->now, $set->bench);
            self::assertNotNull($replay->timed($taken->order, $taken->start));
            self::assertNull($replay->timed($taken->order, [$taken->order[5] => $taken->start[$taken->order[5]] - 1]));
        }
    }

    public function test_hands_keep_to_an_order_with_little_put_off_and_lose_nothing_by_it(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $kept = 0;
        foreach (self::sets(1, 14) as $seed => [$set, $tasks, $clock]) {
            $ways = new Ways($tasks, $set->calendar, $clock, $set->now, $set->bench);
            $replay = new Replay($tasks, $set->calendar, $clock, $set->now, $set->bench);
            $following = new Following($tasks);
            $order = self::taken($set, $tasks, $clock)->order;
            for ($n = 0; $n < 6; $n++) {
                $changed = self::changed($order, $following, $random);
                $order = $replay->timed($changed) === null ? $order : $changed;
            }
            $timed = $replay->timed($order);
            $asked = $timed === null ? null : $ways->asOrdered($timed);
            $trial = $asked === null ? null : (new Keeping($tasks, $ways, $replay))->to($order, static fn (): bool => true);
            if ($asked === null || $trial === null) {
                continue;
            }
            $kept++;
            self::assertLessThan($tasks->count() / 2, count($trial->putOff), "set {$seed}");
            $masks = array_intersect_key($tasks->sitting, $tasks->stays + $tasks->laid);
            self::assertSame([], array_intersect_key($trial->putOff, $masks), "set {$seed}: what comes off a soft mask is not put off");
            self::assertLessThanOrEqual([$asked->score->late, $asked->score->gun], [$trial->score->late, $trial->score->gun], "set {$seed}");
            self::assertLessThanOrEqual(1.02 * $asked->score->finishes, $trial->score->finishes, "set {$seed}");
            self::assertEquals($trial->timed, $ways->by($trial->hints($tasks))?->timed, "set {$seed}: its hints lead to it");
        }
        self::assertGreaterThan(5, $kept);
    }

    public function test_a_better_order_is_found_where_no_better_way_is_and_the_coming_evenings_stay(): void
    {
        $better = 0;
        foreach (self::sets(1, 4) as $seed => [$set, $tasks, $clock]) {
            $arguments = [$tasks, $set->calendar, $clock, $set->now, $set->bench, 7, 300];
            $before = (new Search(...array_slice($arguments, 0, 6), trials: 30))->run(new Hints, static fn (): bool => true) ?? new Hints;
            $found = (new OrderSearch(...$arguments))->run($before, static fn (): bool => true);
            self::assertEquals($found, (new OrderSearch(...$arguments))->run($before, static fn (): bool => true), "set {$seed}: searched twice it finds the same");
            self::assertNull((new OrderSearch(...$arguments))->run($before, static fn (): bool => $tasks->count() < 61), "set {$seed}: told to stop it has found nothing");
            if ($found === null || $found->order === $before->order) {
                continue;
            }
            $better++;
            $ways = new Ways($tasks, $set->calendar, $clock, $set->now, $set->bench);
            [$was, $is] = [$ways->by($before), $ways->by($found)];
            self::assertTrue($was !== null && $is?->score->isBetterThan($was->score), "set {$seed}");
            self::assertTrue(! (new Calm($set->calendar, $was))->moves($is) || $is->score->wins($was->score, Calm::WORTH), "set {$seed}");
        }
        self::assertGreaterThan(0, $better);
    }
}
