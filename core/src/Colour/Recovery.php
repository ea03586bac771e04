<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/**
 * A spectrum for a colour of the screen: among all that show as it, the one whose z, with R = (1 + tanh z)/2, has
 * the least summed squared neighbour differences (handbook 4, Colour). Found by Newton's method on the
 * conditions of the least; what a screen shows with a channel at its very end is met within 1e-4.
 */
final class Recovery
{
    private const ROUNDS = 60;

    private const CLOSE = 1e-9;

    /** A channel nearer to 0 or 1 than this has no curve: it is met this close. */
    private const EDGE = 1e-4;

    /** Raising and lowering a flat curve bends nothing: this keeps the first step from dividing by that nothing. */
    private const STIFF = 1e-6;

    public static function of(Srgb $colour): Spectrum
    {
        $wanted = array_map(static fn (float $v): float => max(self::EDGE, min(1 - self::EDGE, $v)), $colour->linear());
        if (max($colour->linear()) <= self::EDGE) {
            return Spectrum::flat(self::EDGE);
        }
        if (min($colour->linear()) >= 1 - self::EDGE) {
            return Spectrum::flat(1.0);
        }
        // From the grey of the same brightness towards the colour, in smaller steps where one is too large.
        $mean = array_sum($wanted) / 3;
        $z = array_fill(0, Observer::BANDS, atanh(2 * $mean - 1));
        $lambda = [0.0, 0.0, 0.0];
        $reached = 0.0;
        $step = 1.0;
        while ($reached < 1.0 && $step > 1e-6) {
            $to = min(1.0, $reached + $step);
            $aim = array_map(static fn (float $w): float => $mean + $to * ($w - $mean), $wanted);
            $found = self::newton($z, $lambda, $aim);
            if ($found === null) {
                $step /= 2;

                continue;
            }
            [$z, $lambda] = $found;
            $reached = $to;
            $step *= 1.5;
        }

        return new Spectrum(array_map(static fn (float $v): float => (1 + tanh($v)) / 2, $z));
    }

    /**
     * @param  list<float>  $z
     * @param  list<float>  $lambda
     * @param  list<float>  $aim  linear sRGB
     * @return array{list<float>, list<float>}|null null where it does not come to rest
     */
    private static function newton(array $z, array $lambda, array $aim): ?array
    {
        $rows = Observer::rgbRows();
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $t = array_map(tanh(...), $z);
            $slope = array_map(static fn (float $v): float => (1 - $v * $v) / 2, $t);
            $pull = [];
            for ($i = 0; $i < Observer::BANDS; $i++) {
                $pull[$i] = $lambda[0] * $rows[0][$i] + $lambda[1] * $rows[1][$i] + $lambda[2] * $rows[2][$i];
            }
            $bent = self::bends($z);
            $f = [];
            $diagonal = [];
            for ($i = 0; $i < Observer::BANDS; $i++) {
                $f[$i] = $bent[$i] + $slope[$i] * $pull[$i];
                $diagonal[$i] = ($i === 0 || $i === Observer::BANDS - 1 ? 2.0 : 4.0) - 2 * $t[$i] * $slope[$i] * $pull[$i] + self::STIFF;
            }
            $g = array_map(static fn (array $row, float $want): float => array_sum(array_map(static fn (float $w, float $v): float => $w * (1 + $v) / 2, $row, $t)) - $want, $rows, $aim);
            if (self::largest($g) < self::CLOSE && self::largest($f) < 1e-6) {
                return [$z, $lambda];
            }
            $change = self::solve($diagonal, $slope, $rows, $f, $g);
            if ($change === null) {
                return null;
            }
            [$dz, $dl] = $change;
            $largest = self::largest($dz);
            $much = $largest > 1.5 ? 1.5 / $largest : 1.0;
            $z = array_map(static fn (float $v, float $d): float => $v + $much * $d, $z, $dz);
            $lambda = array_map(static fn (float $v, float $d): float => $v + $much * $d, $lambda, $dl);
            if (! is_finite(array_sum($z)) || self::largest($z) > 12) {
                return null;
            }
        }

        return null;
    }

    /**
     * Half the slope of the summed squared neighbour differences, doubled: what a flat curve has none of.
     *
     * @param  list<float>  $z
     * @return list<float>
     */
    private static function bends(array $z): array
    {
        $last = Observer::BANDS - 1;
        $out = [];
        for ($i = 0; $i <= $last; $i++) {
            $out[$i] = ($i > 0 ? 2 * ($z[$i] - $z[$i - 1]) : 0.0) + ($i < $last ? 2 * ($z[$i] - $z[$i + 1]) : 0.0);
        }

        return array_values($out);
    }

    /**
     * One step of Newton's method: the tridiagonal block is solved four times, and the three conditions through it.
     *
     * @param  array<int, float>  $diagonal
     * @param  list<float>  $slope
     * @param  array{list<float>, list<float>, list<float>}  $rows
     * @param  array<int, float>  $f
     * @param  list<float>  $g
     * @return array{list<float>, list<float>}|null
     */
    private static function solve(array $diagonal, array $slope, array $rows, array $f, array $g): ?array
    {
        $columns = array_map(static fn (array $row): array => array_map(static fn (float $w, float $s): float => $w * $s, $row, $slope), $rows);
        $solved = array_map(static fn (array $right): ?array => self::tridiagonal($diagonal, $right), [...$columns, array_values($f)]);
        [$c0, $c1, $c2, $free] = $solved;
        if ($c0 === null || $c1 === null || $c2 === null || $free === null) {
            return null;
        }
        $matrix = array_map(static fn (array $row): array => [self::dot($row, $c0), self::dot($row, $c1), self::dot($row, $c2)], $columns);
        $right = array_map(static fn (array $row, float $miss): float => $miss - self::dot($row, $free), $columns, $g);
        $dl = self::three([...$matrix[0], ...$matrix[1], ...$matrix[2]], array_values($right));
        if ($dl === null) {
            return null;
        }
        $dz = [];
        for ($i = 0; $i < Observer::BANDS; $i++) {
            $dz[] = -$free[$i] - $dl[0] * $c0[$i] - $dl[1] * $c1[$i] - $dl[2] * $c2[$i];
        }

        return [$dz, $dl];
    }

    /**
     * @param  array<int, float>  $diagonal  the side diagonals are -2
     * @param  list<float>  $right
     * @return list<float>|null
     */
    private static function tridiagonal(array $diagonal, array $right): ?array
    {
        $n = Observer::BANDS;
        $upper = $through = [];
        for ($i = 0; $i < $n; $i++) {
            $pivot = $diagonal[$i] + ($i > 0 ? 2 * $upper[$i - 1] : 0.0);
            if (abs($pivot) < 1e-12) {
                return null;
            }
            $upper[$i] = -2 / $pivot;
            $through[$i] = ($right[$i] + ($i > 0 ? 2 * $through[$i - 1] : 0.0)) / $pivot;
        }
        for ($i = $n - 2; $i >= 0; $i--) {
            $through[$i] -= $upper[$i] * $through[$i + 1];
        }

        return array_values($through);
    }

    /**
     * Three equations, by Cramer's rule.
     *
     * @param  list<float>  $m  nine, row by row
     * @param  list<float>  $r
     * @return array{float, float, float}|null
     */
    private static function three(array $m, array $r): ?array
    {
        $all = self::determinant($m);
        if (abs($all) < 1e-300) {
            return null;
        }
        $out = [];
        for ($k = 0; $k < 3; $k++) {
            $with = $m;
            for ($row = 0; $row < 3; $row++) {
                $with[3 * $row + $k] = $r[$row];
            }
            $out[] = self::determinant($with) / $all;
        }

        return [$out[0], $out[1], $out[2]];
    }

    /** @param  array<int, float>  $m  nine, row by row */
    private static function determinant(array $m): float
    {
        return $m[0] * ($m[4] * $m[8] - $m[5] * $m[7]) - $m[1] * ($m[3] * $m[8] - $m[5] * $m[6]) + $m[2] * ($m[3] * $m[7] - $m[4] * $m[6]);
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private static function dot(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $i => $v) {
            $sum += $v * $b[$i];
        }

        return $sum;
    }

    /** @param  array<float>  $values */
    private static function largest(array $values): float
    {
        $most = 0.0;
        foreach ($values as $v) {
            $most = max($most, abs($v));
        }

        return $most;
    }
}
