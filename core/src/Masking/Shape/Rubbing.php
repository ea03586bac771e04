<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/**
 * An outline clicked round on a photograph or scan of a pencil rubbing (handbook 7, Templates). Points are pixels, y
 * downwards; two of them with the length between them on the part set the scale.
 */
final class Rubbing
{
    private const MOST = 120;

    /** Pixels two points of known distance are apart at least: nearer, and a click beside it is a tenth of the scale. */
    private const APART = 20.0;

    /** @return list<Template> */
    public static function templates(): array
    {
        return [new Template('rubbing', 'Rubbing', 'any shape, from a photograph of a pencil rubbing of the part', [
            new Field('known', 'length between the two known points', Field::MM, 20.0, 1), new Field('from', 'first known point, pixels', Field::TEXT, '100 400'), new Field('to', 'second known point, pixels', Field::TEXT, '300 400'),
            new Field('points', 'round the edge, pixels; r where it is rounded', Field::TEXT, '120 300, 200 220 r, 280 300, 260 380, 140 380'),
        ], self::traced(...))];
    }

    /** @return non-empty-list<Shape> */
    private static function traced(Measures $m): array
    {
        [$from] = self::read('from', $m->text('from'));
        [$to] = self::read('to', $m->text('to'));
        $pixels = hypot($to[0] - $from[0], $to[1] - $from[1]);
        if ($pixels < self::APART) {
            throw BadDocument::at('to', sprintf('is %.0f pixels from the first known point', $pixels), 'take two that are far apart: '.self::APART.' pixels or more');
        }
        $mm = $m->of('known') / $pixels;
        $points = self::read('points', $m->text('points'));
        if (count($points) < 3 || count($points) > self::MOST) {
            throw BadDocument::at('points', 'are '.count($points), 'click 3 to '.self::MOST.' round the edge');
        }
        $left = min(array_column($points, 0));
        $low = max(array_column($points, 1));
        $place = static fn (float $x, float $y): array => [($x - $left) * $mm, ($low - $y) * $mm];
        $path = self::rounded(array_map(static fn (array $p): array => [($p[0] - $left) * $mm, ($low - $p[1]) * $mm, $p[2]], $points));
        self::refuseCrossed($path);
        $cut = $m->grow === 0.0 ? $path : Path::polygon(Corners::grown(self::open($path->straight()), $m->grow));
        [$l, $b, $r, $t] = $cut->box();

        return [new Shape([$cut], [], ['a pixel, mm' => $mm, 'width, mm' => $r - $l, 'height, mm' => $t - $b, 'area, mm²' => $cut->area()], [[$place($from[0], $from[1]), $place($to[0], $to[1]), sprintf('known %.1f', $m->of('known'))]])];
    }

    /**
     * Corners joined by straight lines. What is rounded is passed smoothly: its direction is that of the circle through it
     * and its neighbours, and two arcs that meet without a kink lead from one such direction to the next.
     *
     * @param  non-empty-list<array{float, float, bool}>  $points
     */
    private static function rounded(array $points): Path
    {
        $n = count($points);
        $tangents = $path = [];
        foreach ($points as $i => [$x, $y, $isRounded]) {
            $tangents[] = $isRounded ? self::tangent($points[($i + $n - 1) % $n], $points[$i], $points[($i + 1) % $n]) : null;
        }
        foreach ($points as $i => [$x, $y]) {
            $next = $points[($i + 1) % $n];
            [$s, $t] = [$tangents[$i], $tangents[($i + 1) % $n]];
            $chord = atan2($next[1] - $y, $next[0] - $x);
            if ($s !== null && $t !== null) {
                array_push($path, ...self::twoArcs([$x, $y], $s, [$next[0], $next[1]], $t));
            } else {
                $path[] = [$x, $y, match (true) {
                    $s !== null => tan(self::turn($chord - $s) / 2),
                    $t !== null => tan(self::turn($t - $chord) / 2),
                    default => 0.0,
                }];
            }
        }

        /** @var non-empty-list<array{float, float, float}> $path */
        return new Path($path);
    }

    /**
     * Radians: the direction in which the circle through three points passes the second.
     *
     * @param  array{float, float, bool}  $a
     * @param  array{float, float, bool}  $b
     * @param  array{float, float, bool}  $c
     */
    private static function tangent(array $a, array $b, array $c): float
    {
        // Between a chord and the direction at its end lies the angle that the chord is seen under from the third point.
        $in = atan2($b[1] - $a[1], $b[0] - $a[0]);
        $out = atan2($c[1] - $b[1], $c[0] - $b[0]);
        $far = atan2($c[1] - $a[1], $c[0] - $a[0]);

        return $in + self::turn($out - $far);
    }

    /**
     * @param  array{float, float}  $a
     * @param  float  $s  direction there, radians
     * @param  array{float, float}  $b
     * @param  float  $t  direction there, radians
     * @return list<array{float, float, float}>
     */
    private static function twoArcs(array $a, float $s, array $b, float $t): array
    {
        [$vx, $vy] = [$b[0] - $a[0], $b[1] - $a[1]];
        $along = $vx * (cos($s) + cos($t)) + $vy * (sin($s) + sin($t));
        $bend = 2 * (1 - cos($s - $t));
        $square = $vx ** 2 + $vy ** 2;
        // Both arcs are given the same length of tangent: the one that is not behind.
        $d = $bend < 1e-9 ? ($along < 1e-9 ? sqrt($square) / 4 : $square / (2 * $along)) : (sqrt($along ** 2 + $bend * $square) - $along) / $bend;
        $middle = [($a[0] + $b[0] + $d * (cos($s) - cos($t))) / 2, ($a[1] + $b[1] + $d * (sin($s) - sin($t))) / 2];

        return [
            [$a[0], $a[1], tan(self::turn(atan2($middle[1] - $a[1], $middle[0] - $a[0]) - $s) / 2)],
            [$middle[0], $middle[1], tan(self::turn($t - atan2($b[1] - $middle[1], $b[0] - $middle[0])) / 2)],
        ];
    }

    /** The same angle between -π and π. */
    private static function turn(float $radians): float
    {
        return atan2(sin($radians), cos($radians));
    }

    /**
     * @return non-empty-list<array{float, float, bool}> x, y, whether it is rounded
     */
    private static function read(string $field, string $text): array
    {
        $points = [];
        foreach (explode(',', str_replace(';', ',', $text)) as $one) {
            $one = trim($one);
            if (preg_match('/\A(-?\d{1,6}(?:\.\d{1,4})?)\s+(-?\d{1,6}(?:\.\d{1,4})?)(\s*r)?\z/', $one, $m) !== 1) {
                throw BadDocument::at($field, 'has "'.mb_substr(mb_scrub($one), 0, 30).'", which is no point', 'write its pixels as 120 300, with commas between points');
            }
            $point = [(float) $m[1], (float) $m[2], isset($m[3])];
            $last = $points[count($points) - 1] ?? null;
            if ($last === null || hypot($last[0] - $point[0], $last[1] - $point[1]) > 1e-6) {
                $points[] = $point;
            }
        }
        if (count($points) > 1 && hypot($points[0][0] - $points[count($points) - 1][0], $points[0][1] - $points[count($points) - 1][1]) < 1e-6) {
            array_pop($points);
        }

        return $points === [] ? throw BadDocument::at($field, 'is empty', 'write its pixels as 120 300') : $points;
    }

    private static function refuseCrossed(Path $path): void
    {
        $corners = self::open($path->straight());
        $n = count($corners);
        for ($i = 0; $i < $n; $i++) {
            [$a, $b] = [$corners[$i], $corners[($i + 1) % $n]];
            for ($j = $i + 2; $j < $n - ($i === 0 ? 1 : 0); $j++) {
                [$c, $d] = [$corners[$j], $corners[($j + 1) % $n]];
                if (self::side($a, $b, $c) * self::side($a, $b, $d) < 0 && self::side($c, $d, $a) * self::side($c, $d, $b) < 0) {
                    throw BadDocument::at('points', sprintf('make an outline that crosses itself %.1f mm from the left, %.1f mm from below', $a[0], $a[1]), 'click them round the edge in order');
                }
            }
        }
    }

    /**
     * Over 0 where the third lies to the left of the way from the first to the second.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     */
    private static function side(array $a, array $b, array $c): float
    {
        return ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]);
    }

    /**
     * @param  non-empty-list<array{float, float}>  $corners  the first once more at the end
     * @return non-empty-list<array{float, float}>
     */
    private static function open(array $corners): array
    {
        if (count($corners) > 1) {
            array_pop($corners);
        }

        /** @var non-empty-list<array{float, float}> */
        return $corners;
    }
}
