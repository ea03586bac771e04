<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** The colour difference CIEDE2000, after Sharma, Wu and Dalal 2005, with all weights 1. */
final class DeltaE
{
    public static function between(Lab $x, Lab $y): float
    {
        $mean = (hypot($x->a, $x->b) + hypot($y->a, $y->b)) / 2;
        $g = 0.5 * (1 - sqrt($mean ** 7 / ($mean ** 7 + 25 ** 7)));
        [$a1, $a2] = [(1 + $g) * $x->a, (1 + $g) * $y->a];
        [$c1, $c2] = [hypot($a1, $x->b), hypot($a2, $y->b)];
        [$h1, $h2] = [self::hue($a1, $x->b), self::hue($a2, $y->b)];
        $grey = $c1 * $c2 === 0.0;
        $dh = $grey ? 0.0 : self::turn($h2 - $h1);
        $dl = $y->l - $x->l;
        $dc = $c2 - $c1;
        $dH = 2 * sqrt($c1 * $c2) * sin(deg2rad($dh / 2));

        return self::weigh(($x->l + $y->l) / 2, ($c1 + $c2) / 2, $grey ? $h1 + $h2 : self::middle($h1, $h2), $dl, $dc, $dH);
    }

    private static function weigh(float $l, float $c, float $h, float $dl, float $dc, float $dH): float
    {
        $t = 1 - 0.17 * cos(deg2rad($h - 30)) + 0.24 * cos(deg2rad(2 * $h)) + 0.32 * cos(deg2rad(3 * $h + 6)) - 0.20 * cos(deg2rad(4 * $h - 63));
        $sl = 1 + 0.015 * ($l - 50) ** 2 / sqrt(20 + ($l - 50) ** 2);
        $sc = 1 + 0.045 * $c;
        $sh = 1 + 0.015 * $c * $t;
        $turned = 60 * exp(-((($h - 275) / 25) ** 2));
        $rt = -2 * sqrt($c ** 7 / ($c ** 7 + 25 ** 7)) * sin(deg2rad($turned));

        return sqrt(($dl / $sl) ** 2 + ($dc / $sc) ** 2 + ($dH / $sh) ** 2 + $rt * ($dc / $sc) * ($dH / $sh));
    }

    private static function hue(float $a, float $b): float
    {
        return $a === 0.0 && $b === 0.0 ? 0.0 : fmod(rad2deg(atan2($b, $a)) + 360, 360);
    }

    private static function turn(float $degrees): float
    {
        return $degrees > 180 ? $degrees - 360 : ($degrees < -180 ? $degrees + 360 : $degrees);
    }

    private static function middle(float $h1, float $h2): float
    {
        $sum = $h1 + $h2;

        return abs($h1 - $h2) <= 180 ? $sum / 2 : ($sum < 360 ? ($sum + 360) / 2 : ($sum - 360) / 2);
    }
}
