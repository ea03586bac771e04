<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

/**
 * What falls out of a stencil is held by bridges: an upright strip through the middle of each hole is left standing, as wide
 * as asked. What is cut is then in pieces, none with another inside it.
 */
final class Bridges
{
    /**
     * @param  non-empty-list<non-empty-list<array{float, float}>>  $outlines  of one letter, with its holes
     * @return list<non-empty-list<array{float, float}>> without holes
     */
    public static function through(array $outlines, float $width): array
    {
        $middles = [];
        foreach (self::holes($outlines) as $hole) {
            $middles[] = (min(array_column($hole, 0)) + max(array_column($hole, 0))) / 2;
        }
        sort($middles);
        $pieces = [];
        $from = -INF;
        foreach ([...$middles, INF] as $middle) {
            if (is_finite($middle) && $middle - $width / 2 < $from) {
                continue;
            }
            $part = is_finite($from) ? self::half($outlines, $from, 1) : $outlines;
            array_push($pieces, ...(is_finite($middle) ? self::half($part, $middle - $width / 2, -1) : $part));
            $from = $middle + $width / 2;
        }

        return $pieces;
    }

    /**
     * @param  list<non-empty-list<array{float, float}>>  $outlines
     * @return list<non-empty-list<array{float, float}>> those that lie in another
     */
    public static function holes(array $outlines): array
    {
        $boxes = array_map(static fn (array $o): array => Path::polygon($o)->box(), $outlines);

        return array_values(array_filter($outlines, static function (int $i) use ($boxes): bool {
            [$l, $b, $r, $t] = $boxes[$i];
            foreach ($boxes as $its) {
                if ($its[0] < $l && $its[1] < $b && $its[2] > $r && $its[3] > $t) {
                    return true;
                }
            }

            return false;
        }, ARRAY_FILTER_USE_KEY));
    }

    /**
     * What of outlines with holes lies on one side of an upright line. Each is cut into the runs that stay; where runs begin
     * and end on the line, they are joined along it in pairs, from below: between the two of a pair there is letter.
     *
     * @param  list<non-empty-list<array{float, float}>>  $outlines
     * @param  int  $side  1: to the right of it, -1: to the left
     * @return list<non-empty-list<array{float, float}>>
     */
    private static function half(array $outlines, float $x, int $side): array
    {
        $whole = $runs = [];
        foreach ($outlines as $outline) {
            $n = count($outline);
            $in = array_map(static fn (array $p): bool => $side * ($p[0] - $x) > 0, $outline);
            $begins = array_keys(array_filter($in, static fn (bool $is, int $i): bool => $is && ! $in[($i + $n - 1) % $n], ARRAY_FILTER_USE_BOTH));
            if ($begins === []) {
                if ($in[0]) {
                    $whole[] = $outline;
                }

                continue;
            }
            foreach ($begins as $i) {
                $run = [self::at($outline[($i + $n - 1) % $n], $outline[$i], $x)];
                $j = $i;
                while ($in[$j % $n]) {
                    $run[] = $outline[$j % $n];
                    $j++;
                }
                $run[] = self::at($outline[($j + $n - 1) % $n], $outline[$j % $n], $x);
                $runs[] = $run;
            }
        }
        $ends = [];
        foreach ($runs as $i => $run) {
            $ends[] = [$run[0][1], $i, true];
            $ends[] = [$run[count($run) - 1][1], $i, false];
        }
        usort($ends, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $mate = [];
        for ($k = 0; $k + 1 < count($ends); $k += 2) {
            $mate[$ends[$k][1].($ends[$k][2] ? 'b' : 'e')] = $ends[$k + 1];
            $mate[$ends[$k + 1][1].($ends[$k + 1][2] ? 'b' : 'e')] = $ends[$k];
        }

        return [...$whole, ...self::joined($runs, $mate)];
    }

    /**
     * @param  list<non-empty-list<array{float, float}>>  $runs
     * @param  array<string, array{float, int, bool}>  $mate  the end each is joined to: "3b" begins, "3e" ends
     * @return list<non-empty-list<array{float, float}>>
     */
    private static function joined(array $runs, array $mate): array
    {
        $closed = [];
        $open = array_fill_keys(array_keys($runs), true);
        foreach (array_keys($runs) as $first) {
            if (! isset($open[$first])) {
                continue;
            }
            $points = [];
            [$run, $forward] = [$first, true];
            do {
                unset($open[$run]);
                array_push($points, ...($forward ? $runs[$run] : array_reverse($runs[$run])));
                [, $run, $isBegin] = $mate[$run.($forward ? 'e' : 'b')];
                $forward = $isBegin;
            } while (isset($open[$run]));
            $closed[] = $points;
        }

        return $closed;
    }

    /**
     * Where a side crosses the line.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @return array{float, float}
     */
    private static function at(array $a, array $b, float $x): array
    {
        return [$x, $a[1] + ($b[1] - $a[1]) * ($x - $a[0]) / ($b[0] - $a[0])];
    }
}
