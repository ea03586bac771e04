<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Section;

use AmberStep\Core\Section\Mark;
use AmberStep\Core\Section\RowKind;
use AmberStep\Core\Section\Rows;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Rows against a count by brute force: of two pieces no drawing with fewer rows keeps both orders. */
final class RowsTest extends TestCase
{
    #[DataProvider('seeds')]
    public function test_two_pieces_take_as_few_rows_as_can_be(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        for ($case = 0; $case < 25; $case++) {
            [$one, $two] = [self::sequence($random), self::sequence($random)];
            $rows = self::rows(['hull' => $one, 'float' => $two]);

            self::assertCount(1 + count($one) + count($two) - self::mostShared($one, $two), $rows->rows, implode(',', $one).' with '.implode(',', $two));
            self::assertSame('bare', $rows->rows[0]->title);
        }
    }

    #[DataProvider('seeds')]
    public function test_each_of_many_pieces_keeps_its_order_and_finds_its_own_rows(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $pieces = [];
        foreach (['hull', 'float', 'canopy', 'struts', 'trolley'] as $piece) {
            $pieces[$piece] = self::sequence($random);
        }
        $rows = self::rows($pieces);
        foreach ($pieces as $piece => $keys) {
            $below = 0;
            foreach ($keys as $i => $key) {
                $row = $rows->of("{$piece} area", "ref {$i}");
                self::assertSame($key, $rows->rows[$row]->title);
                self::assertGreaterThan($below, $row, "{$piece} is out of its order");
                $below = $row;
            }
        }
        self::assertLessThanOrEqual(1 + array_sum(array_map(count(...), $pieces)), count($rows->rows));
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(701, 706) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    /** @param  array<string, list<string>>  $pieces */
    private static function rows(array $pieces): Rows
    {
        $marks = [];
        $at = 0;
        foreach ($pieces as $piece => $keys) {
            foreach ($keys as $i => $key) {
                $marks[] = new Mark($at++, "{$piece} area", $piece, $key, "ref {$i}", $key, RowKind::Colour);
            }
        }

        return new Rows($marks);
    }

    /** @return list<string> no thing twice in a row: that would be one layer */
    private static function sequence(Randomizer $random): array
    {
        $keys = [];
        for ($i = $random->getInt(1, 8); $i > 0; $i--) {
            $key = ['primer', 'silver', 'grey', 'green', 'gloss'][$random->getInt(0, 4)];
            if ($key !== ($keys[count($keys) - 1] ?? '')) {
                $keys[] = $key;
            }
        }

        return $keys;
    }

    /**
     * Tries every selection of the one against the other.
     *
     * @param  list<string>  $one
     * @param  list<string>  $two
     */
    private static function mostShared(array $one, array $two): int
    {
        $most = 0;
        for ($chosen = 0; $chosen < 2 ** count($one); $chosen++) {
            $picked = array_values(array_filter($one, static fn (int $i): bool => ($chosen >> $i & 1) === 1, ARRAY_FILTER_USE_KEY));
            $found = 0;
            foreach ($two as $key) {
                $found += $key === ($picked[$found] ?? null) ? 1 : 0;
            }
            $most = $found === count($picked) ? max($most, $found) : $most;
        }

        return $most;
    }
}
