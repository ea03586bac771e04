<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Masking;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Masking\Shape\Bridges;
use AmberStep\Core\Masking\Shape\Fineness;
use AmberStep\Core\Masking\Shape\Order;
use AmberStep\Core\Masking\Shape\Path;
use AmberStep\Core\Masking\Shape\Shape;
use AmberStep\Core\Masking\Shape\Templates;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Outlines clicked on a photograph, letters held by bridges, and how fine a shape is. */
final class RubbingTest extends TestCase
{
    /** @param  array<string, string>  $measures */
    private static function shape(string $template, array $measures, float $grow = 0.0): Shape
    {
        return (new Order(Templates::named($template), $measures, grow: $grow))->shapes[0];
    }

    public function test_corners_are_joined_straight_at_the_scale_of_the_known_length(): void
    {
        // 200 pixels are 40 mm: a pixel is 0.2 mm. The picture has y downwards, the sheet upwards.
        $shape = self::shape('rubbing', ['known' => '40', 'from' => '0 0', 'to' => '200 0', 'points' => '10 10, 110 10, 110 60, 10 60']);

        self::assertEqualsWithDelta([0.0, 0.0, 20.0, 10.0], $shape->box(), 1e-9);
        self::assertEqualsWithDelta(200.0, $shape->area(), 1e-9);
        self::assertEqualsWithDelta([0.0, 10.0], [$shape->cuts[0]->points[0][0], $shape->cuts[0]->points[0][1]], 1e-9, 'the upper left corner');
        self::assertEqualsWithDelta([-1.0, -1.0, 21.0, 11.0], self::shape('rubbing', ['known' => '40', 'from' => '0 0', 'to' => '200 0', 'points' => '10 10, 110 10, 110 60, 10 60'], 1.0)->box(), 1e-9);
    }

    /** @return iterable<string, array{int}> */
    public static function rounds(): iterable
    {
        yield 'three' => [3];
        yield 'five' => [5];
        yield 'twelve' => [12];
    }

    #[DataProvider('rounds')]
    public function test_rounded_points_of_a_circle_give_that_circle(int $n): void
    {
        $points = array_map(static fn (int $i): string => sprintf('%.4f %.4f r', 300 + 100 * cos(2 * M_PI * $i / $n), 300 + 100 * sin(2 * M_PI * $i / $n)), range(0, $n - 1));
        $shape = self::shape('rubbing', ['known' => '10', 'from' => '0 0', 'to' => '100 0', 'points' => implode(', ', $points)]);

        self::assertEqualsWithDelta(M_PI * 100, $shape->area(), 0.001);
        foreach ($shape->cuts[0]->straight() as [$x, $y]) {
            self::assertEqualsWithDelta(10.0, hypot($x - $shape->box()[0] - 10, $y - $shape->box()[1] - 10), 0.001);
        }
    }

    public function test_one_rounded_point_between_two_corners_is_the_arc_through_all_three_and_nothing_kinks_there(): void
    {
        $shape = self::shape('rubbing', ['known' => '10', 'from' => '0 0', 'to' => '100 0', 'points' => '0 100, 100 50 r, 200 100']);
        // Chord 20, rise 5: radius (c²/4 + r²) / 2r = 12.5, by the arch of the handbook.
        $radius = (20 ** 2 / 4 + 5 ** 2) / (2 * 5);
        foreach ($shape->cuts[0]->straight() as [$x, $y]) {
            if ($y > 0.01) {
                self::assertEqualsWithDelta($radius, hypot($x - 10, $y - 5 + $radius), 0.001);
            }
        }
        $half = asin(10 / $radius);
        self::assertEqualsWithDelta($radius ** 2 * ($half - sin($half) * cos($half)), $shape->area(), 0.001);
    }

    public function test_a_freely_rounded_outline_has_no_kink_where_it_is_rounded(): void
    {
        $points = [[100, 100], [220, 80], [300, 160], [260, 260], [150, 300], [60, 210]];
        $path = self::shape('rubbing', ['known' => '50', 'from' => '0 0', 'to' => '100 0', 'points' => implode(', ', array_map(static fn (array $p): string => "{$p[0]} {$p[1]} r", $points))])->cuts[0];
        $n = count($path->points);
        self::assertSame(12, $n, 'two arcs from each point to the next');
        for ($i = 0; $i < $n; $i++) {
            [$a, $b, $c] = [$path->points[$i], $path->points[($i + 1) % $n], $path->points[($i + 2) % $n]];
            $in = atan2($b[1] - $a[1], $b[0] - $a[0]) + 2 * atan($a[2]);
            $out = atan2($c[1] - $b[1], $c[0] - $b[0]) - 2 * atan($b[2]);
            self::assertEqualsWithDelta(1.0, cos($in - $out), 1e-9);
        }
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function wrong(): iterable
    {
        yield 'crossed' => [['points' => '0 0, 100 100, 100 0, 0 100'], 'points: make an outline that crosses itself'];
        yield 'two points' => [['points' => '0 0, 100 100'], 'points: are 2'];
        yield 'no point' => [['points' => '0 0, x 100, 3 4'], 'points: has "x 100", which is no point'];
        yield 'known too near' => [['from' => '10 10', 'to' => '15 10'], 'to: is 5 pixels from the first known point'];
    }

    /** @param  array<string, string>  $measures */
    #[DataProvider('wrong')]
    public function test_what_is_no_outline_is_refused_with_what_would_be(array $measures, string $said): void
    {
        try {
            self::shape('rubbing', $measures);
            self::fail('it was taken');
        } catch (BadDocument $e) {
            self::assertStringStartsWith($said, $e->problems[0]->path.': '.$e->problems[0]->wrong);
        }
    }

    public function test_bridged_letters_have_nothing_inside_them_and_lose_just_the_strips(): void
    {
        $held = 0;
        foreach (mb_str_split('ABDOPQR0468&9') as $letter) {
            $whole = array_map(static fn (Path $p): array => array_slice($p->straight(), 0, -1), self::shape('letters', ['text' => $letter, 'height' => '20'])->cuts);
            $bridged = array_map(static fn (Path $p): array => array_slice($p->straight(), 0, -1), self::shape('letters', ['text' => $letter, 'height' => '20', 'bridge' => '1.5'])->cuts);
            if (Bridges::holes($whole) === []) {
                continue;
            }
            $held++;
            self::assertSame([], Bridges::holes($bridged), "{$letter} still has a hole in it");
            self::assertGreaterThan(count($whole) - count(Bridges::holes($whole)), count($bridged), "{$letter} is in pieces");
            // By columns: nothing or all of the letter is left in each.
            $columns = ['kept' => 0, 'gone' => 0];
            for ($x = 0.051; $x < 25; $x += 0.1) {
                [$before, $after] = [self::column($whole, $x), self::column($bridged, $x)];
                if ($before > 0) {
                    self::assertTrue(abs($before - $after) < 1e-6 || $after < 1e-9, "{$letter} at {$x}: {$before} before, {$after} after");
                    $columns[$after < 1e-9 ? 'gone' : 'kept']++;
                }
            }
            self::assertEqualsWithDelta(15, $columns['gone'] % 15 === 0 ? 15 : $columns['gone'], 2, "{$letter}: strips of 1.5 mm");
            self::assertGreaterThan(30, $columns['kept']);
        }
        self::assertGreaterThan(8, $held);
        self::assertCount(1, self::shape('letters', ['text' => 'H', 'height' => '20', 'bridge' => '1.5'])->cuts, 'nothing falls out of an H');
    }

    /** @param  list<list<array{float, float}>>  $outlines */
    private static function column(array $outlines, float $x): float
    {
        $at = [];
        foreach ($outlines as $outline) {
            foreach ($outline as $i => $a) {
                $b = $outline[($i + 1) % count($outline)];
                if (($a[0] > $x) !== ($b[0] > $x)) {
                    $at[] = $a[1] + ($b[1] - $a[1]) * ($x - $a[0]) / ($b[0] - $a[0]);
                }
            }
        }
        sort($at);
        $long = 0.0;
        foreach (array_chunk($at, 2) as $pair) {
            $long += ($pair[1] ?? $pair[0]) - $pair[0];
        }

        return $long;
    }

    /** @return iterable<string, array{string, array<string, string>, string|null}> */
    public static function fine(): iterable
    {
        yield 'a wide stripe' => ['rectangle', ['width' => '20', 'height' => '0.5'], null];
        yield 'a stripe for a machine' => ['rectangle', ['width' => '20', 'height' => '0.4'], 'Its narrowest place is 0.40 mm: a cutting machine holds that'];
        yield 'a stripe for a decal' => ['rectangle', ['width' => '20', 'height' => '0.25'], 'Its narrowest place is 0.25 mm: no film'];
        yield 'a stripe for a pen' => ['rectangle', ['width' => '20', 'height' => '0.15'], 'Its narrowest place is 0.15 mm: draw it'];
        yield 'a thin ring' => ['ring', ['outer' => '10', 'inner' => '9.2'], 'Its narrowest place is 0.39 mm: a cutting'];
        yield 'leaning stripes' => ['hazard-stripes', ['width' => '40', 'height' => '12', 'stripe' => '0.5', 'angle' => '45'], 'Its narrowest place is 0.'];
    }

    /** @param  array<string, string>  $measures */
    #[DataProvider('fine')]
    public function test_a_shape_says_what_its_narrowest_place_asks_for(string $template, array $measures, ?string $said): void
    {
        $says = Fineness::of(self::shape($template, $measures));

        $said === null ? self::assertNull($says) : self::assertStringStartsWith($said, (string) $says);
    }
}
