<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Masking;

use AmberStep\Core\Masking\Order\BestOrders;
use AmberStep\Core\Masking\Order\NearOrder;
use AmberStep\Core\Masking\Order\Ordered;
use PHPUnit\Framework\TestCase;

/** Which colour first: against all orders there are, summed up in another way. */
final class BestOrdersTest extends TestCase
{
    public function test_the_best_three_are_those_that_trying_all_orders_finds(): void
    {
        for ($seed = 1; $seed <= 300; $seed++) {
            $drawn = new DrawnOrder($seed);
            $n = $drawn->problem->count();
            $best = [];
            foreach (self::permutations(range(0, $n - 1)) as $order) {
                if ($drawn->isAllowed($order)) {
                    // What is sprayed between on pieces that have nothing to do with it makes no other order.
                    $same = $drawn->mark($order);
                    $best[$same] = min($best[$same] ?? INF, ...array_map(static fn (array $extra): float => $drawn->minutes($order, $extra), count($drawn->problem->shades) > 1 ? [[], [1], [2], [1, 2]] : [[]]));
                }
            }
            sort($best);
            $found = new BestOrders($drawn->problem);

            self::assertTrue($found->isProven);
            self::assertCount(min(3, count($best)), $found->orders, "seed {$seed}");
            foreach ($found->orders as $place => $one) {
                self::assertEqualsWithDelta($best[$place], $one->minutes, 1e-6, "seed {$seed}, place {$place}");
                self::assertSame([], Ordered::broken($drawn->problem, $one->order));
            }
            self::assertLessThanOrEqual($best[0] + 1e-6, NearOrder::bound($drawn->problem), "seed {$seed}: the bound is below");
        }
    }

    public function test_above_twelve_colours_it_is_the_best_found_between_the_bound_and_what_the_cheapest_stage_first_would_cost(): void
    {
        $wide = 0;
        foreach (range(1, 12) as $seed) {
            $drawn = new DrawnOrder($seed, 14, 60);
            $found = new BestOrders($drawn->problem);
            if ($found->isProven) {
                continue;
            }
            $wide++;
            self::assertGreaterThan($found->bound, $found->orders[0]->minutes);
            self::assertLessThanOrEqual(Ordered::of($drawn->problem, range(0, 13))->minutes, $found->orders[0]->minutes);
            self::assertSame([], Ordered::broken($drawn->problem, $found->orders[0]->order));
        }
        self::assertGreaterThan(4, $wide, 'some of them hang together whole');
    }

    public function test_at_eight_colours_what_is_found_without_proof_is_near_what_is_proven(): void
    {
        $gaps = [];
        foreach (range(1, 12) as $seed) {
            $problem = (new DrawnOrder($seed, 8))->problem;
            $proven = (new BestOrders($problem))->orders[0]->minutes;
            $gaps[] = (new NearOrder($problem, 1))->found()->minutes / $proven - 1;
        }

        self::assertLessThan(0.15, array_sum($gaps) / count($gaps));
    }

    /**
     * @param  list<int>  $of
     * @return iterable<list<int>>
     */
    private static function permutations(array $of): iterable
    {
        if (count($of) < 2) {
            yield $of;

            return;
        }
        foreach ($of as $i => $first) {
            $rest = $of;
            array_splice($rest, $i, 1);
            foreach (self::permutations($rest) as $order) {
                yield [$first, ...$order];
            }
        }
    }
}
