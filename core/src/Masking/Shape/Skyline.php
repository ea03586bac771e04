<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

/** Rectangles laid one after the other on what lies already: the upper edge of that is kept as steps. */
final class Skyline
{
    /**
     * @param  list<array{float, float}>  $sizes  width and height, mm
     * @param  list<int>  $order  in which they are laid
     * @return array{array<int, array{float, float, bool}>, float} left, bottom and whether it is turned; and the height that is used
     */
    public static function laid(array $sizes, array $order, float $width, float $gap): array
    {
        /** @var list<array{float, float, float}> $steps from, to, height: with the gap above what lies there */
        $steps = [[$gap, $width, $gap]];
        $places = [];
        $height = $gap;
        foreach ($order as $i) {
            $best = null;
            foreach ($sizes[$i][0] === $sizes[$i][1] ? [false] : [false, true] as $turned) {
                [$w, $h] = $turned ? [$sizes[$i][1], $sizes[$i][0]] : $sizes[$i];
                foreach ($steps as [$from]) {
                    $y = self::over($steps, $from, $from + $w + $gap, $width);
                    if ($y !== null && ($best === null || [$y + $h, $y, $from] < [$best[1] + $best[4], $best[1], $best[0]])) {
                        $best = [$from, $y, $turned, $w, $h];
                    }
                }
            }
            if ($best === null) {
                continue;
            }
            [$x, $y, $turned, $w, $h] = $best;
            $places[$i] = [$x, $y, $turned];
            $height = max($height, $y + $h + $gap);
            $steps = self::raised($steps, $x, $x + $w + $gap, $y + $h + $gap);
        }

        return [$places, $height];
    }

    /**
     * How high what lies there is between two places; null where that goes over the sheet.
     *
     * @param  list<array{float, float, float}>  $steps
     */
    private static function over(array $steps, float $from, float $to, float $width): ?float
    {
        if ($to > $width + 1e-9) {
            return null;
        }
        $y = 0.0;
        foreach ($steps as [$a, $b, $high]) {
            $y = $a < $to - 1e-9 && $b > $from + 1e-9 ? max($y, $high) : $y;
        }

        return $y;
    }

    /**
     * @param  list<array{float, float, float}>  $steps
     * @return list<array{float, float, float}>
     */
    private static function raised(array $steps, float $from, float $to, float $high): array
    {
        $out = [];
        $set = false;
        foreach ($steps as [$a, $b, $y]) {
            if ($a < $from) {
                $out[] = [$a, min($b, $from), $y];
            }
            if (! $set && $b > $from + 1e-9) {
                $out[] = [$from, $to, $high];
                $set = true;
            }
            if ($b > $to) {
                $out[] = [max($a, $to), $b, $y];
            }
        }

        return array_values(array_filter($out, static fn (array $s): bool => $s[1] - $s[0] > 1e-9));
    }
}
