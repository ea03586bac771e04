<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Mixing;

use AmberStep\Core\Material\Pack;
use AmberStep\Core\Mixing\Packs;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The cheapest whole packs, against trying every set. */
final class PacksTest extends TestCase
{
    public function test_the_price_of_a_hundred_ml_is_the_handbooks(): void
    {
        self::assertEqualsWithDelta(52.00, (new Pack(10, 5.20))->per100Ml(), 0.005);
        self::assertEqualsWithDelta(46.47, (new Pack(17, 7.90))->per100Ml(), 0.005);
        self::assertEqualsWithDelta(28.75, (new Pack(40, 11.50))->per100Ml(), 0.005);
    }

    public function test_on_random_price_lists_it_is_the_best_of_all_sets(): void
    {
        $random = new Randomizer(new Mt19937(4));
        for ($i = 0; $i < 300; $i++) {
            $sold = [];
            for ($k = $random->getInt(1, 4); $k > 0; $k--) {
                $sold[] = new Pack($random->getInt(4, 60) / 2, $random->getInt(100, 2000) / 100);
            }
            $ml = $random->getInt(1, 900) / 10;
            $found = Packs::cheapest($ml, $sold);
            self::assertNotNull($found);

            [$price, $left, $count] = self::exhaustive($ml, $sold);
            self::assertGreaterThanOrEqual($ml, $found->ml);
            self::assertSame([$price, $left, $count], [(int) round($found->price * 100), (int) round(($found->ml - $ml) * 10), array_sum(array_column($found->packs, 1))], "{$ml} ml of ".json_encode($sold));
        }
    }

    public function test_of_equally_cheap_sets_the_one_with_least_left_over(): void
    {
        self::assertSame('1 × 12 ml', Packs::cheapest(11, [new Pack(20, 5), new Pack(12, 5)])?->words());
        self::assertSame('1 × 40 ml, 1 × 10 ml', Packs::cheapest(45, [new Pack(10, 5.2), new Pack(17, 7.9), new Pack(40, 11.5)])?->words());
    }

    public function test_where_nothing_is_sold_or_needed_there_is_no_set(): void
    {
        self::assertNull(Packs::cheapest(3, []));
        self::assertNull(Packs::cheapest(0, [new Pack(10, 5)]));
        self::assertSame(1, Packs::cheapest(0.01, [new Pack(10, 5)])?->packs[0][1]);
        self::assertSame(500, Packs::cheapest(5000, [new Pack(10, 5)])?->packs[0][1]);
    }

    /**
     * @param  non-empty-list<Pack>  $sold
     * @return array{int, int, int} cents, tenths of a ml left over, packs
     */
    private static function exhaustive(float $ml, array $sold, float $have = 0, int $cents = 0, int $packs = 0): array
    {
        if ($have >= $ml - 1e-9) {
            return [$cents, (int) round(($have - $ml) * 10), $packs];
        }
        $pack = $sold[0];
        $best = null;
        $rest = array_slice($sold, 1);
        for ($n = $rest === [] ? (int) ceil(($ml - $have) / $pack->ml - 1e-9) : 0; $n <= (int) ceil(($ml - $have) / $pack->ml - 1e-9); $n++) {
            $try = $rest === []
                ? [$cents + $n * (int) round($pack->price * 100), (int) round(($have + $n * $pack->ml - $ml) * 10), $packs + $n]
                : self::exhaustive($ml, $rest, $have + $n * $pack->ml, $cents + $n * (int) round($pack->price * 100), $packs + $n);
            $best = $best === null || $try < $best ? $try : $best;
        }

        return $best ?? [0, 0, 0];
    }
}
