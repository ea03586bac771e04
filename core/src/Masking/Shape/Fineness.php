<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

/** What the narrowest line of a shape asks for (handbook 7, Fineness). */
final class Fineness
{
    /** mm: the narrowest line a knife-cut mask holds, a cut film, and that a pen still draws better than a decal is cut. */
    private const KNIFE = 0.5;

    /** mm by which two bends followed by straight pieces seem nearer than they are. */
    private const BENDS = 0.021;

    public const FILM = 0.3;

    public const PEN = 0.2;

    /** Without a full stop; null: a knife cuts it. */
    public static function of(Shape $shape): ?string
    {
        $mm = self::narrowest($shape);

        return match (true) {
            $mm >= self::KNIFE - self::BENDS => null,
            $mm >= self::FILM - self::BENDS => sprintf('Its narrowest place is %.2f mm: a cutting machine holds that in film, a knife does not', $mm),
            $mm >= self::PEN - self::BENDS => sprintf('Its narrowest place is %.2f mm: no film that is cut holds it, take a decal', $mm),
            default => sprintf('Its narrowest place is %.2f mm: draw it with a pen, or take a decal', $mm),
        };
    }

    /** mm: the least of how wide each outline is across, and of what stands between an outline and a hole in it. */
    public static function narrowest(Shape $shape): float
    {
        $closed = array_values(array_filter($shape->cuts, static fn (Path $p): bool => $p->closed));
        $least = INF;
        foreach ($closed as $i => $path) {
            $least = min($least, self::across($path->straight()));
            foreach (array_slice($closed, $i + 1) as $other) {
                if (self::isIn($path->box(), $other->box()) || self::isIn($other->box(), $path->box())) {
                    $least = min($least, self::between($path->straight(), $other->straight()));
                }
            }
        }

        return $least;
    }

    /**
     * The least distance of two parallel lines that hold all of it: over each of its sides the furthest point.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    private static function across(array $points): float
    {
        $hull = self::hull($points);
        $least = INF;
        foreach ($hull as $i => $a) {
            $b = $hull[($i + 1) % count($hull)];
            $long = hypot($b[0] - $a[0], $b[1] - $a[1]);
            if ($long > 1e-9) {
                $least = min($least, max(array_map(static fn (array $p): float => abs(($b[0] - $a[0]) * ($p[1] - $a[1]) - ($b[1] - $a[1]) * ($p[0] - $a[0])) / $long, $hull)));
            }
        }

        return $least;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return non-empty-list<array{float, float}> its outermost points, round to the left
     */
    private static function hull(array $points): array
    {
        usort($points, static fn (array $a, array $b): int => $a <=> $b);
        $halves = [];
        foreach ([$points, array_reverse($points)] as $sorted) {
            $half = [];
            foreach ($sorted as $p) {
                while (count($half) > 1 && ($half[count($half) - 1][0] - $half[count($half) - 2][0]) * ($p[1] - $half[count($half) - 2][1]) - ($half[count($half) - 1][1] - $half[count($half) - 2][1]) * ($p[0] - $half[count($half) - 2][0]) <= 1e-12) {
                    array_pop($half);
                }
                $half[] = $p;
            }
            $halves[] = array_slice($half, 0, -1);
        }
        $hull = array_merge(...$halves);

        return $hull === [] ? [$points[0]] : $hull;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $a
     * @param  non-empty-list<array{float, float}>  $b
     */
    private static function between(array $a, array $b): float
    {
        $least = INF;
        foreach ([[$a, $b], [$b, $a]] as [$points, $line]) {
            foreach ($points as $p) {
                foreach ($line as $i => $q) {
                    $r = $line[($i + 1) % count($line)];
                    $long = ($r[0] - $q[0]) ** 2 + ($r[1] - $q[1]) ** 2;
                    $t = $long < 1e-18 ? 0.0 : max(0.0, min(1.0, (($p[0] - $q[0]) * ($r[0] - $q[0]) + ($p[1] - $q[1]) * ($r[1] - $q[1])) / $long));
                    $least = min($least, hypot($p[0] - $q[0] - $t * ($r[0] - $q[0]), $p[1] - $q[1] - $t * ($r[1] - $q[1])));
                }
            }
        }

        return $least;
    }

    /**
     * @param  array{float, float, float, float}  $in
     * @param  array{float, float, float, float}  $out
     */
    private static function isIn(array $in, array $out): bool
    {
        return $in[0] >= $out[0] && $in[1] >= $out[1] && $in[2] <= $out[2] && $in[3] <= $out[3];
    }
}
