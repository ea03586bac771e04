<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Masking;

use AmberStep\Core\Masking\Shape\Order;
use AmberStep\Core\Masking\Shape\Path;
use AmberStep\Core\Masking\Shape\Shape;
use AmberStep\Core\Masking\Shape\Sheet;
use AmberStep\Core\Masking\Shape\SvgFile;
use AmberStep\Core\Masking\Shape\Templates;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Shapes on a sheet: apart, not spread out, and written at their true size. */
final class SheetTest extends TestCase
{
    /** @return non-empty-list<Shape> */
    private static function drawn(Randomizer $random, int $n): array
    {
        return array_map(static function () use ($random): Shape {
            [$w, $h] = [$random->getInt(20, 600) / 10, $random->getInt(20, 400) / 10];

            return new Shape([Path::polygon([[0.0, 0.0], [$w, 0.0], [$w, $h], [0.0, $h]])]);
        }, range(1, $n));
    }

    public function test_no_two_lie_nearer_than_two_millimetres_to_each_other_or_to_the_edge(): void
    {
        foreach (range(1, 60) as $seed) {
            $random = new Randomizer(new Mt19937($seed));
            $sheet = new Sheet(self::drawn($random, $random->getInt(1, 24)), 100 + $random->getInt(0, 120));
            $boxes = array_map(static fn (Shape $s): array => $s->box(), $sheet->shapes);
            foreach ($boxes as $i => [$l, $b, $r, $t]) {
                self::assertTrue($l > 2 - 1e-6 && $b > 2 - 1e-6 && $r < $sheet->width - 2 + 1e-6 && $t < $sheet->height - 2 + 1e-6, "seed {$seed}, shape {$i} lies over the edge");
                foreach (array_slice($boxes, $i + 1) as [$ol, $ob, $or, $ot]) {
                    self::assertGreaterThan(2 - 1e-6, max($ol - $r, $l - $or, $ob - $t, $b - $ot), "seed {$seed}: {$i} lies too near to another");
                }
            }
            self::assertEqualsWithDelta(array_sum(array_map(static fn (Shape $s): float => $s->area(), $sheet->shapes)) / $sheet->width / $sheet->height, $sheet->used, 1e-9);
        }
    }

    public function test_it_is_within_fifteen_in_a_hundred_of_the_best_of_twenty_thousand_layouts_at_random(): void
    {
        foreach (range(1, 4) as $seed) {
            $random = new Randomizer(new Mt19937(100 + $seed));
            $shapes = self::drawn($random, 4 + $seed % 3);
            $sizes = array_map(static fn (Shape $s): array => [$s->box()[2], $s->box()[3]], $shapes);
            $best = INF;
            for ($i = 0; $i < 20000; $i++) {
                $best = min($best, self::tried($sizes, $random, 110.0));
            }
            self::assertLessThanOrEqual(1.15 * $best, (new Sheet($shapes, 110.0))->height, "seed {$seed}");
        }
    }

    /**
     * Each in turn, in an order and either way round as it comes, at the lowest place beside or on one that lies.
     *
     * @param  list<array{float, float}>  $sizes
     */
    private static function tried(array $sizes, Randomizer $random, float $width): float
    {
        $laid = [];
        $height = 0.0;
        foreach ($random->shuffleArray($sizes) as [$w, $h]) {
            if ($random->getInt(0, 1) === 1) {
                [$w, $h] = [$h, $w];
            }
            $best = null;
            $xs = [2.0, ...array_map(static fn (array $b): float => $b[2] + 2, $laid)];
            $ys = [2.0, ...array_map(static fn (array $b): float => $b[3] + 2, $laid)];
            foreach ($ys as $y) {
                foreach ($xs as $x) {
                    $free = $x + $w + 2 <= $width && ($best === null || [$y, $x] < $best);
                    foreach ($free ? $laid : [] as [$l, $b, $r, $t]) {
                        $free = $free && max($l - $x - $w, $x - $r, $b - $y - $h, $y - $t) >= 2 - 1e-9;
                    }
                    $best = $free ? [$y, $x] : $best;
                }
            }
            if ($best === null) {
                return INF;
            }
            $laid[] = [$best[1], $best[0], $best[1] + $w, $best[0] + $h];
            $height = max($height, $best[0] + $h + 2);
        }

        return $height;
    }

    public function test_a_shape_that_is_turned_to_fit_keeps_its_sides(): void
    {
        $sheet = new Sheet([new Shape([Path::polygon([[5.0, 5.0], [95.0, 5.0], [95.0, 15.0], [5.0, 15.0]])])], 40.0);
        [$l, $b, $r, $t] = $sheet->shapes[0]->box();

        self::assertEqualsWithDelta([2, 2, 12, 92], [$l, $b, $r, $t], 1e-9);
    }

    public function test_the_sheet_is_written_in_millimetres_with_inner_cuts_first_and_a_ruler(): void
    {
        $svg = simplexml_load_string(SvgFile::of((new Order(Templates::named('ring'), ['outer' => '14', 'inner' => '10'], copies: 2))->sheet));
        self::assertNotFalse($svg);
        self::assertSame('180.000mm', (string) $svg['width']);
        self::assertSame('0 0 180.000 '.substr((string) $svg['height'], 0, -2), (string) $svg['viewBox'], 'a unit is a millimetre');
        $radii = array_map(static fn ($p): string => preg_match('/A([\d.]+)/', (string) $p['d'], $m) === 1 ? $m[1] : '', iterator_to_array($svg->g[0]->path, false));
        self::assertSame(['5', '7', '5', '7'], $radii);
        self::assertSame(['M2.00 24.00H52.00'], array_values(array_filter(array_map(static fn ($p): string => (string) $p['id'] === 'RULER' ? (string) $p['d'] : '', iterator_to_array($svg->g[1]->path, false)))));
    }
}
