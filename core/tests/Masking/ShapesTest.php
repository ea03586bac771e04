<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Masking;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Masking\Shape\Order;
use AmberStep\Core\Masking\Shape\Path;
use AmberStep\Core\Masking\Shape\Shape;
use AmberStep\Core\Masking\Shape\Templates;
use AmberStep\Core\Masking\Shape\Wings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Shapes of masks, by the figures of the trade and folded back onto the body they are cut for. */
final class ShapesTest extends TestCase
{
    /** @param  array<string, string>  $measures */
    private static function shape(string $template, array $measures = [], float $grow = 0.0): Shape
    {
        return (new Order(Templates::named($template), $measures, grow: $grow))->shapes[0];
    }

    /** @return list<array{float, float}> corners, rounded to a hundredth */
    private static function corners(Shape $shape): array
    {
        return array_map(static fn (array $p): array => [round($p[0], 2), round($p[1], 2)], $shape->cuts[0]->points);
    }

    public function test_a_pane_has_the_corners_its_sides_and_diagonal_give(): void
    {
        $pane = self::shape('pane', ['bottom' => '24', 'right' => '15', 'top' => '20', 'left' => '14', 'diagonal' => '27,5']);

        self::assertSame([[0.0, 0.0], [24.0, 0.0], [23.07, 14.97], [3.11, 13.65]], self::corners($pane));
        // Measured again with the callipers, at random places within the sheet's accuracy.
        [$a, $b, $c, $d] = $pane->cuts[0]->points;
        $apart = static fn (array $p, array $q): float => hypot($p[0] - $q[0], $p[1] - $q[1]);
        self::assertEqualsWithDelta([24, 15, 20, 14, 27.5], [$apart($a, $b), $apart($b, $c), $apart($c, $d), $apart($d, $a), $apart($a, $c)], 1e-9);
    }

    public function test_a_row_of_panes_shares_its_uprights(): void
    {
        $row = (new Order(Templates::named('pane-row'), ['uprights' => '14 15 13', 'bottoms' => '24 22', 'tops' => '20 19', 'diagonals' => '27.5 25.5']))->shapes;

        self::assertCount(2, $row);
        $right = $row[0]->cuts[0]->points;
        $left = $row[1]->cuts[0]->points;
        self::assertEqualsWithDelta(15.0, hypot($right[1][0] - $right[2][0], $right[1][1] - $right[2][1]), 1e-9);
        self::assertEqualsWithDelta(15.0, hypot($left[0][0] - $left[3][0], $left[0][1] - $left[3][1]), 1e-9, 'the side they share');
    }

    public function test_what_comes_off_a_cone_folds_back_onto_it(): void
    {
        $band = self::shape('cone-band', ['small' => '18', 'large' => '30', 'height' => '14']);

        self::assertEqualsWithDelta(['inner radius, mm' => 22.85, 'outer radius, mm' => 38.08, 'angle, °' => 141.8, 'slant, mm' => 15.23, 'outer arc, mm' => 30 * M_PI], $band->figures, 0.01 + 0.005);
        $azimuths = [];
        foreach ($band->cuts[0]->straight() as $i => [$x, $y]) {
            [$z, $radius, $azimuth] = self::folded($x, $y);
            $azimuths[] = $azimuth;
            // On the body: between its two rims, and as far from the axis as the cone is there.
            self::assertEqualsWithDelta(9 + 6 * $z / 14, $radius, 0.02);
            self::assertTrue($z > -0.02 && $z < 14.02, "point {$i}");
        }
        self::assertEqualsWithDelta(2 * M_PI, max($azimuths) - min($azimuths), 0.001, 'its ends meet');
    }

    /**
     * A point of the flat on a cone of 18 and 30 over 14, the tip of which would lie 21 below the small rim.
     *
     * @return array{float, float, float} height over the small rim, distance from the axis, way round
     */
    private static function folded(float $x, float $y): array
    {
        $from = hypot($x, $y);
        $half = atan2(6, 14);

        return [$from * cos($half) - 21, $from * sin($half), atan2($y, $x) / sin($half)];
    }

    public function test_the_sectors_of_a_cone_make_it_whole(): void
    {
        $whole = self::shape('cone-band');
        $sixth = self::shape('cone-band', ['sectors' => '6']);

        self::assertEqualsWithDelta($whole->area() / 6, $sixth->area(), 1e-6);
        self::assertEqualsWithDelta(M_PI * (15 + 9) * 15.2315, $whole->area(), 0.01, 'the mantle of a frustum');
    }

    public function test_a_spiral_goes_from_rim_to_rim_in_proportion_to_the_way_round(): void
    {
        $spiral = self::shape('spiral', ['turns' => '1', 'stripe' => '12']);
        $edge = array_slice($spiral->cuts[0]->points, 0, 97);
        foreach ([[0, 0.0, 22.85], [24, 35.45, 26.66], [48, 70.91, 30.46], [72, 106.36, 34.27], [96, 141.81, 38.08]] as [$i, $angle, $from]) {
            self::assertEqualsWithDelta($from, hypot($edge[$i][0], $edge[$i][1]), 0.01);
            self::assertEqualsWithDelta($angle, rad2deg(atan2($edge[$i][1], $edge[$i][0])), 0.01);
            self::assertEqualsWithDelta(2 * M_PI * $i / 96, self::folded($edge[$i][0], $edge[$i][1])[2], 0.001, 'once round the spinner');
        }
        // The other edge ends 12 mm further along the rim of the large end.
        $end = $spiral->cuts[0]->points[97];
        self::assertEqualsWithDelta(12 / 15, self::folded($end[0], $end[1])[2] - 2 * M_PI + ($end[1] < 0 ? 2 * M_PI / sin(atan2(6, 14)) : 0.0), 0.001);
    }

    public function test_the_leaves_of_a_dome_go_round_it_at_every_height(): void
    {
        $gore = self::shape('gore', ['radius' => '9', 'number' => '8']);
        $figures = array_values($gore->figures);

        self::assertEqualsWithDelta([14.14, 1.353, 2.499, 3.265, 3.534], $figures, 0.005);
        foreach ($gore->cuts[0]->points as [$x, $y]) {
            $s = 14.1372 - $y;
            self::assertEqualsWithDelta(2 * M_PI * 9 * sin($s / 9), 8 * 2 * abs($x), 0.01, "at {$s}");
        }
        // Eight of them cover half a ball but for what a flat leaf leaves.
        self::assertEqualsWithDelta(2 * M_PI * 81, 8 * $gore->area(), 0.5);
    }

    /** @return iterable<string, array{string, array<string, string>, float}> */
    public static function areas(): iterable
    {
        yield 'band' => ['band', ['diameter' => '12', 'width' => '5', 'overlap' => '2'], (12 * M_PI + 2) * 5];
        yield 'rectangle with radii' => ['rectangle', ['width' => '20', 'height' => '10', 'radius' => '3'], 200 - (4 - M_PI) * 9];
        yield 'hexagon' => ['polygon', ['sides' => '6', 'across' => '12'], 2 * sqrt(3) * 36];
        yield 'pentagon, corner to flat' => ['polygon', ['sides' => '5', 'across' => '10'], 5 * (10 / (1 + 1 / cos(M_PI / 5))) ** 2 * tan(M_PI / 5)];
        yield 'disc' => ['disc', ['diameter' => '10'], 25 * M_PI];
        yield 'ring' => ['ring', ['outer' => '14', 'inner' => '10'], 24 * M_PI];
        yield 'arch' => ['arch', ['chord' => '22', 'rise' => '6'], 13.0833 ** 2 * asin(11 / 13.0833) - 11 * (13.0833 - 6)];
        yield 'triangle of 3, 4, 5' => ['triangle', ['a' => '4', 'b' => '3', 'c' => '5'], 6];
        yield 'half a field of stripes round a body' => ['hazard-stripes', ['width' => '60', 'height' => '10', 'stripe' => '5', 'round' => '1'], 300];
        yield 'half a field of chequers' => ['chequers', ['width' => '40', 'height' => '12', 'across' => '8', 'down' => '2'], 240];
        yield 'half a field of chevrons round a body' => ['chevrons', ['width' => '60', 'height' => '10', 'stripe' => '5', 'round' => '1'], 300];
        yield 'rivet strip' => ['rivets', ['length' => '50', 'strip' => '6'], 300];
        yield 'bent rivet strip' => ['rivets', ['length' => '50', 'strip' => '6', 'curve' => '30'], 50 * (30 ** 2 - 24 ** 2) / 2 / 30];
        yield 'in inches' => ['disc', ['diameter' => '0.5 in'], 6.35 ** 2 * M_PI];
    }

    /** @param  array<string, string>  $measures */
    #[DataProvider('areas')]
    public function test_as_much_is_cut_out_as_the_figure_has(string $template, array $measures, float $mm2): void
    {
        self::assertEqualsWithDelta($mm2, self::shape($template, $measures)->area(), 0.02);
    }

    public function test_stripes_round_a_body_are_the_nearest_whole_number_and_never_meet_in_half_a_one(): void
    {
        $shape = self::shape('hazard-stripes', ['width' => '37.7', 'height' => '8', 'stripe' => '5', 'round' => '1']);

        self::assertSame(4.0, $shape->figures['stripes round it']);
        // What is cut off at one end begins again at the other: along the foot as along every other height.
        foreach ([0.5, 4.0, 7.5] as $y) {
            self::assertEqualsWithDelta(37.7 / 2, self::cutAlong($shape, $y), 1e-6, "at {$y} mm");
        }
    }

    /** mm that are cut out along a height. */
    private static function cutAlong(Shape $shape, float $y): float
    {
        $mm = 0.0;
        foreach ($shape->cuts as $path) {
            $xs = [];
            $points = $path->straight();
            foreach ($points as $i => $a) {
                $b = $points[($i + 1) % count($points)];
                if (($a[1] <= $y) !== ($b[1] <= $y)) {
                    $xs[] = $a[0] + ($y - $a[1]) / ($b[1] - $a[1]) * ($b[0] - $a[0]);
                }
            }
            $mm += $xs === [] ? 0.0 : max($xs) - min($xs);
        }

        return $mm;
    }

    public function test_a_stripe_across_a_wing_is_as_long_as_the_way_over_its_face(): void
    {
        self::assertEqualsWithDelta([1.020, 1.006, 1.038], [Wings::overFace(0.12), Wings::overFace(0.06), Wings::overFace(0.18)], 0.0005);
        // Along a section with a parabola's back, as thick, measured in small steps: within two parts in a thousand.
        $arc = 0.0;
        for ($i = 0; $i < 1000; $i++) {
            $arc += hypot(0.001, self::back(($i + 1) / 1000) - self::back($i / 1000));
        }
        self::assertEqualsWithDelta($arc, Wings::overFace(0.12), 0.012);
        $stripe = self::shape('wing-stripe', ['span' => '90', 'root' => '32', 'tip' => '16', 'sweep' => '0', 'distance' => '45', 'width' => '9', 'thickness' => '12']);
        self::assertEqualsWithDelta(24 * Wings::overFace(0.12) + 6, $stripe->cuts[0]->points[1][0] - $stripe->cuts[0]->points[0][0], 1e-6, 'half way out, 3 mm over each edge');
    }

    private static function back(float $x): float
    {
        return 4 * 0.06 * $x * (1 - $x);
    }

    public function test_what_is_grown_is_so_much_larger_all_round(): void
    {
        $pane = self::shape('pane');
        $grown = self::shape('pane', [], 0.8);
        foreach ($pane->cuts[0]->points as $i => $a) {
            $b = $pane->cuts[0]->points[($i + 1) % 4];
            $p = $grown->cuts[0]->points[$i];
            // Each side as far outside the old one.
            self::assertEqualsWithDelta(0.8, (($b[1] - $a[1]) * ($p[0] - $a[0]) - ($b[0] - $a[0]) * ($p[1] - $a[1])) / hypot($b[0] - $a[0], $b[1] - $a[1]), 1e-9);
        }
        foreach (['disc' => 11.6, 'ring' => 15.6] as $template => $across) {
            [$l, , $r] = self::shape($template, [], 0.8)->box();
            self::assertEqualsWithDelta($across, $r - $l, 1e-9);
        }
        self::assertEqualsWithDelta(M_PI * (7.8 ** 2 - 4.2 ** 2), self::shape('ring', [], 0.8)->area(), 1e-6, 'to both sides');
        $arch = self::shape('arch', [], 0.8);
        self::assertEqualsWithDelta(13.0833 + 0.8, self::radiusOf($arch->cuts[0]), 0.001);
    }

    /** Of an arch: from its chord and rise again. */
    private static function radiusOf(Path $path): float
    {
        [$l, $b, $r, $t] = $path->box();

        return (($r - $l) ** 2 / 4 + ($t - $b) ** 2) / (2 * ($t - $b));
    }

    public function test_a_pair_is_one_for_each_hand_and_says_where_it_begins(): void
    {
        $order = new Order(Templates::named('wing-stripe'), [], pair: true, start: 'keel, behind the step', copies: 2);

        self::assertSame(['port from keel, behind the step', 'starboard from keel, behind the step', 'port from keel, behind the step', 'starboard from keel, behind the step'], array_map(static fn (Shape $s): string => $s->label, $order->sheet->shapes));
        $turn = static fn (Shape $s): float => array_sum(array_map(static fn (array $p, array $q): float => $p[0] * $q[1] - $q[0] * $p[1], $s->cuts[0]->points, [...array_slice($s->cuts[0]->points, 1), $s->cuts[0]->points[0]]));
        self::assertLessThan(0, $turn($order->sheet->shapes[0]) * $turn($order->sheet->shapes[1]), 'the one goes round the other way');
    }

    /** @return iterable<string, array{string, array<string, string>, array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'a side that cannot close' => ['pane', ['top' => '60'], [], 'top is 18.50 mm too long to close: diagonal and left come to 41.50 mm'];
        yield 'a triangle' => ['triangle', ['a' => '30', 'b' => '10', 'c' => '12'], [], 'a is 8.00 mm too long to close: c and b come to 22.00 mm'];
        yield 'one pane of a row' => ['pane-row', ['diagonals' => '27.5 60'], [], 'diagonal of pane 2 is 24.00 mm too long'];
        yield 'a row with a side missing' => ['pane-row', ['uprights' => '14 15'], [], 'uprights are 2; 2 panes have 3'];
        yield 'a cone that is none' => ['cone-band', ['small' => '30', 'large' => '30'], [], 'small is not under the large diameter of 30.00 mm'];
        yield 'radius' => ['rectangle', ['radius' => '6'], [], 'radius is 1.00 mm more than half the shorter side'];
        yield 'shrunk to nothing' => ['disc', ['diameter' => '3'], ['grow' => -2.0], 'grow leaves nothing of it'];
        yield 'a pane shrunk to nothing' => ['pane', ['bottom' => '6', 'right' => '5', 'top' => '6', 'left' => '5', 'diagonal' => '7'], ['grow' => -3.0], 'grow -3.00 mm leaves nothing of a side'];
        yield 'past the tip' => ['wing-stripe', ['distance' => '88'], [], 'width goes 6.00 mm past the tip; give 2.00 mm at most'];
        yield 'two of one colour round a body' => ['chequers', ['across' => '7', 'round' => '1'], [], 'across is 7: round a body two of one colour would meet; give 6 or 8'];
        yield 'turns over one another' => ['spiral', ['turns' => '4'], [], 'turns of 4.0 lie over one another in the flat'];
        yield 'no number' => ['disc', ['diameter' => 'wide'], [], 'diameter "wide" is no length'];
        yield 'read two ways' => ['gore', ['number' => '1,250'], [], 'number "1,250" can be read two ways'];
        yield 'full size without a scale' => ['disc', ['diameter' => '610 mm full'], [], 'diameter is of the full-size subject, and no scale is known'];
        yield 'half a leaf' => ['gore', ['number' => '7.5'], [], 'number is not a whole number'];
        yield 'a measure it does not have' => ['disc', ['radius' => '4'], [], 'radius is no measure of Disc; use diameter'];
        yield 'no such template' => ['hoop', [], [], 'template "hoop" is no template'];
        yield 'a sheet too narrow' => ['disc', ['diameter' => '60'], ['width' => 40.0], 'sheet of 40 mm is too narrow for shape 1, 60.0 by 60.0 mm; give 64 mm or more'];
        yield 'too many' => ['disc', [], ['copies' => 61], 'copies is out of range'];
    }

    /**
     * @param  array<string, string>  $measures
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('impossible')]
    public function test_measures_that_make_no_shape_say_which_and_by_how_much(string $template, array $measures, array $more, string $said): void
    {
        try {
            new Order(Templates::named($template), $measures, ...$more);
            self::fail('it was taken');
        } catch (BadDocument $e) {
            self::assertStringContainsString($said, "{$e->problems[0]->path} {$e->problems[0]->wrong}; {$e->problems[0]->right}");
        }
    }

    public function test_full_size_lengths_are_divided_by_the_scale(): void
    {
        $disc = (new Order(Templates::named('disc'), ['diameter' => '610 mm full'], 48.0))->shapes[0];
        [$l, , $r] = $disc->box();

        self::assertEqualsWithDelta(12.71, $r - $l, 0.005);
        self::assertEqualsWithDelta(8.47, (new Order(Templates::named('disc'), ['diameter' => '24 in full'], 72.0))->shapes[0]->box()[2] * 2, 0.005);
    }

    public function test_letters_are_as_high_as_asked_with_their_holes_and_no_finer_than_a_film_holds(): void
    {
        $shape = self::shape('letters', ['text' => 'h8', 'height' => '10']);
        [, $bottom, , $top] = $shape->box();

        self::assertCount(4, $shape->cuts, 'an H, an 8 and its two holes');
        self::assertEqualsWithDelta([0.0, 10.0, 1.4], [$bottom, $top, $shape->figures['stroke, mm']], 0.2, 'round ones stand over a little');
        $holes = array_filter($shape->cuts, static fn (Path $p): bool => $p->area() < 6);
        self::assertCount(2, $holes);
        self::assertEqualsWithDelta(array_sum(array_map(static fn (Path $p): float => $p->area(), $shape->cuts)) - 2 * array_sum(array_map(static fn (Path $p): float => $p->area(), $holes)), $shape->area(), 1e-6, 'what is in the holes is not cut out');
        self::assertEqualsWithDelta(self::shape('letters', ['text' => 'HH', 'height' => '10'])->figures['length, mm'] + 3, self::shape('letters', ['text' => 'HH', 'height' => '10', 'spacing' => '3'])->figures['length, mm'], 1e-9);
        foreach ([['height' => '2'], ['height' => '1'], ['text' => 'Ö4']] as $measures) {
            try {
                self::shape('letters', $measures);
                self::fail('it was taken');
            } catch (BadDocument $e) {
                self::assertStringContainsString(['2' => 'take a decal', '1' => 'pen'][$measures['height'] ?? ''] ?? 'use capitals', $e->problems[0]->right);
            }
        }
    }

    public function test_a_bend_is_as_long_as_its_arc_and_goes_as_far_as_its_circle(): void
    {
        $quarter = new Path([[10.0, 0.0, Path::bulge(M_PI / 2)], [0.0, 10.0, 0.0]], false);

        self::assertEqualsWithDelta(5 * M_PI, $quarter->length(), 1e-9);
        self::assertSame([0.0, 0.0, 10.0, 10.0], array_map(static fn (float $x): float => round($x, 9) + 0.0, $quarter->box()));
        self::assertEqualsWithDelta([-10, -10, 10, 10], Path::circle(0, 0, 10)->box(), 1e-9);
        self::assertSame('M10 0A10 10 0 0 0 0 -10', $quarter->svg());
        foreach ($quarter->straight() as [$x, $y]) {
            self::assertEqualsWithDelta(10.0, hypot($x, $y), 1e-9);
        }
    }
}
