<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/** Corners from measured sides, and outlines grown or shrunk. */
final class Corners
{
    /**
     * The third corner of a triangle over a side along x, above it.
     *
     * @param  array{string, string, string}  $names  of the three sides, for what is said of them
     * @return array{float, float}
     *
     * @throws BadDocument where the sides cannot close
     */
    public static function third(float $base, float $fromLeft, float $fromRight, array $names): array
    {
        foreach ([[$base, $fromLeft, $fromRight, 0], [$fromLeft, $base, $fromRight, 1], [$fromRight, $base, $fromLeft, 2]] as [$long, $a, $b, $i]) {
            if ($long >= $a + $b) {
                $others = array_values(array_diff_key($names, [$i => true]));
                throw BadDocument::at($names[$i], sprintf('is %.2f mm too long to close: %s and %s come to %.2f mm', $long - $a - $b, $others[0], $others[1], $a + $b), sprintf('measure again: under %.2f mm', $a + $b));
            }
        }
        $x = ($base ** 2 + $fromLeft ** 2 - $fromRight ** 2) / (2 * $base);

        return [$x, sqrt($fromLeft ** 2 - $x ** 2)];
    }

    /**
     * Every side moved out by so much (in, where it is negative), mitred at the corners.
     *
     * @param  non-empty-list<array{float, float}>  $corners
     * @return non-empty-list<array{float, float}>
     *
     * @throws BadDocument where nothing is left of it
     */
    public static function grown(array $corners, float $by): array
    {
        if ($by === 0.0) {
            return $corners;
        }
        $n = count($corners);
        $turn = self::signed($corners) >= 0 ? 1.0 : -1.0;
        $lines = [];
        foreach ($corners as $i => $a) {
            $b = $corners[($i + 1) % $n];
            $length = hypot($b[0] - $a[0], $b[1] - $a[1]);
            // Outwards is to the right where the corners go round to the left.
            $out = [$turn * ($b[1] - $a[1]) / $length, -$turn * ($b[0] - $a[0]) / $length];
            $lines[] = [$a[0] + $by * $out[0], $a[1] + $by * $out[1], ($b[0] - $a[0]) / $length, ($b[1] - $a[1]) / $length];
        }
        $grown = [];
        foreach ($lines as $i => [$x, $y, $dx, $dy]) {
            [$px, $py, $ex, $ey] = $lines[($i + $n - 1) % $n];
            $cross = $ex * $dy - $ey * $dx;
            $t = abs($cross) < 1e-9 ? 0.0 : (($x - $px) * $dy - ($y - $py) * $dx) / $cross;
            $grown[] = abs($cross) < 1e-9 ? [$x, $y] : [$px + $t * $ex, $py + $t * $ey];
        }
        $kept = $turn * self::signed($grown) > 0;
        foreach ($grown as $i => $a) {
            $b = $grown[($i + 1) % $n];
            $kept = $kept && ($b[0] - $a[0]) * $lines[$i][2] + ($b[1] - $a[1]) * $lines[$i][3] > 0;
        }

        return $kept ? $grown : throw BadDocument::at('grow', sprintf('%.2f mm leaves nothing of a side', $by), 'shrink it less');
    }

    /** @param  non-empty-list<array{float, float}>  $corners */
    private static function signed(array $corners): float
    {
        $twice = 0.0;
        foreach ($corners as $i => $a) {
            $b = $corners[($i + 1) % count($corners)];
            $twice += $a[0] * $b[1] - $b[0] * $a[1];
        }

        return $twice / 2;
    }
}
