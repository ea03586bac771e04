<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/** What lies flat on the sheet and is wrapped round a body: bands, cones, spirals, gores. */
final class Rolled
{
    /** Points of a curve that is no arc, for each turn or gore. */
    private const POINTS = 96;

    /** @return list<Template> */
    public static function templates(): array
    {
        $cone = [new Field('small', 'small diameter', Field::MM, 18.0, 0), new Field('large', 'large diameter', Field::MM, 30.0), new Field('height', 'height along the axis', Field::MM, 14.0, 0)];

        return [
            new Template('band', 'Band round a cylinder', 'barrels, funnels, fuselages', [new Field('diameter', 'diameter', Field::MM, 12.0), new Field('width', 'width of the band', Field::MM, 5.0), new Field('overlap', 'overlap', Field::MM, 2.0, 0, 50)], self::band(...)),
            new Template('cone-band', 'Band round a cone', 'nozzles, spinners, dishes', [...$cone, new Field('sectors', 'sectors it is cut into', Field::COUNT, 1.0, 1, 60)], self::cone(...)),
            new Template('spiral', 'Spiral on a spinner', 'a stripe that winds to the tip', [...$cone, new Field('turns', 'turns', Field::TURNS, 1.0, 0.1, 10), new Field('stripe', 'width along the rim of the large end', Field::MM, 15.0)], self::spiral(...), false),
            new Template('gore', 'Gore of a dome', 'domes and radomes, in leaves', [new Field('radius', 'radius of the dome', Field::MM, 9.0), new Field('number', 'leaves', Field::COUNT, 8.0, 3, 60)], self::gore(...)),
        ];
    }

    /** @return non-empty-list<Shape> */
    private static function band(Measures $m): array
    {
        $round = M_PI * $m->of('diameter');
        $length = $round + $m->of('overlap');
        [$g, $w] = [$m->grow, $m->of('width')];
        if ($w + 2 * $g <= 0) {
            throw BadDocument::at('grow', 'leaves nothing of it', 'shrink it less');
        }

        return [new Shape([Path::polygon([[0.0, -$g], [$length, -$g], [$length, $w + $g], [0.0, $w + $g]])], [Path::line([[$round, -$g], [$round, $w + $g]])], ['length, mm' => $length, 'once round, mm' => $round], [[[0.0, 0.0], [$length, 0.0], sprintf('%.2f', $length)], [[0.0, 0.0], [0.0, $w], sprintf('width %.1f', $w)]])];
    }

    /**
     * A frustum in the flat: radii from where its slant comes to a point, and the angle that makes its outer arc pi times the
     * large diameter.
     *
     * @return array{float, float, float} inner and outer radius, mm; angle, radians
     */
    private static function flat(Measures $m): array
    {
        [$small, $large, $height] = [$m->of('small'), $m->of('large'), $m->of('height')];
        if ($small >= $large) {
            throw BadDocument::at('small', sprintf('is not under the large diameter of %.2f mm', $large), 'for two alike take a band round a cylinder');
        }
        $slant = hypot($height, ($large - $small) / 2);
        $outer = $slant * $large / ($large - $small);

        return [$outer - $slant, $outer, M_PI * $large / $outer];
    }

    /** @return non-empty-list<Shape> */
    private static function cone(Measures $m): array
    {
        [$inner, $outer, $angle] = self::flat($m);
        $part = $angle / $m->count('sectors');
        [$in, $out] = [$inner - $m->grow, $outer + $m->grow];
        if ($out <= max(0.0, $in)) {
            throw BadDocument::at('grow', 'leaves nothing of it', 'shrink it less');
        }
        $in = max(0.0, $in);
        $at = static fn (float $r, float $a): array => [$r * cos($a), $r * sin($a)];
        [$from, $to] = [M_PI / 2 - $part / 2, M_PI / 2 + $part / 2];
        // Almost once round: an arc of over half a turn is drawn in two.
        $arc = static fn (float $r, float $a, float $b): array => [[...$at($r, $a), Path::bulge(($b - $a) / 2)], [...$at($r, ($a + $b) / 2), Path::bulge(($b - $a) / 2)]];
        $points = $in > 0 ? [...$arc($out, $from, $to), [...$at($out, $to), 0.0], ...$arc($in, $to, $from), [...$at($in, $from), 0.0]] : [...$arc($out, $from, $to), [...$at($out, $to), 0.0], [0.0, 0.0, 0.0]];

        return [new Shape([new Path($points)], [], ['inner radius, mm' => $inner, 'outer radius, mm' => $outer, 'angle, °' => rad2deg($angle), 'slant, mm' => $outer - $inner, 'outer arc, mm' => $angle * $outer], [[[0.0, $inner], [0.0, $outer], sprintf('slant %.2f', $outer - $inner)], [[0.0, 0.0], $at($outer, $from), sprintf('R %.2f', $outer)]])];
    }

    /**
     * In the flat the edge goes from the small radius to the large in proportion to the angle (handbook 7). The stripe is as
     * wide round the body as it is far from the tip.
     *
     * @return non-empty-list<Shape>
     */
    private static function spiral(Measures $m): array
    {
        [$inner, $outer, $angle] = self::flat($m);
        $round = M_PI * $m->of('large');
        if ($m->of('stripe') >= $round) {
            throw BadDocument::at('stripe', sprintf('is wider than once round, %.2f mm', $round), 'give less');
        }
        $turns = $m->of('turns');
        $all = $angle * $turns;
        $wide = $angle * $m->of('stripe') / $round;
        if ($all + $wide > 2 * M_PI) {
            throw BadDocument::at('turns', sprintf('of %.1f lie over one another in the flat', $turns), sprintf('give %.1f at most, and lay the rest from a second mask', floor((2 * M_PI - $wide) / $angle * 10) / 10));
        }
        $n = (int) ceil(self::POINTS * max(1.0, $turns));
        $edge = array_map(static fn (int $i): array => [$inner + ($outer - $inner) * $i / $n, $all * $i / $n], range(0, max(1, $n)));
        // From the small end out along one edge, and back along the other: both are the same curve, turned by the stripe.
        $at = static fn (float $r, float $a, float $bulge): array => [$r * cos($a), $r * sin($a), $bulge];
        $last = $edge[count($edge) - 1];
        $out = array_map(static fn (array $p): array => $at($p[0], $p[1], $p === $last ? Path::bulge($wide) : 0.0), $edge);
        $back = array_map(static fn (array $p): array => $at($p[0], $p[1] + $wide, $p === $edge[0] && $inner > 0 ? Path::bulge(-$wide) : 0.0), array_reverse($edge));
        $marks = [];
        for ($i = 0; $i <= 4; $i++) {
            $a = $all * $i / 4;
            $marks[] = Path::line([[$inner * cos($a), $inner * sin($a)], [$outer * cos($a), $outer * sin($a)]]);
        }

        return [new Shape([new Path([...$out, ...$back])], $marks, ['inner radius, mm' => $inner, 'outer radius, mm' => $outer, 'angle of a turn, °' => rad2deg($angle), 'stripe at the small end, mm' => $m->of('stripe') * $inner / $outer], [[[$inner, 0.0], [$outer, 0.0], sprintf('slant %.2f', $outer - $inner)]])];
    }

    /**
     * One leaf of a half ball: half as wide at s from the tip as (pi R / n) sin(s / R).
     *
     * @return non-empty-list<Shape>
     */
    private static function gore(Measures $m): array
    {
        [$radius, $n] = [$m->of('radius'), $m->count('number')];
        $length = M_PI * $radius / 2;
        $half = static fn (float $s): float => M_PI * $radius / $n * sin($s / $radius);
        $right = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $s = $length * $i / self::POINTS;
            $right[] = [$half($s), $length - $s];
        }
        $left = array_map(static fn (array $p): array => [-$p[0], $p[1]], array_slice($right, 1));
        /** @var non-empty-list<array{float, float}> $corners */
        $corners = [...$left, ...array_reverse(array_slice($right, 1)), $right[0]];
        $figures = ['length, mm' => $length];
        foreach ([1, 2, 3, 4] as $quarter) {
            $figures[sprintf('half width at %.2f mm, mm', $length * $quarter / 4)] = $half($length * $quarter / 4);
        }

        return [new Shape([Path::polygon(Corners::grown($corners, $m->grow))], [Path::line([[0.0, 0.0], [0.0, $length]])], $figures, [[[0.0, 0.0], [0.0, $length], sprintf('length %.2f', $length)], [[-$half($length), 0.0], [$half($length), 0.0], sprintf('foot %.2f', 2 * $half($length))]])];
    }
}
