<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** Kubelka and Munk's two streams: mixing paints and laying them in films over a ground (handbook 4, Colour). */
final class KubelkaMunk
{
    /** K/S of a film too thick to see through. */
    public static function ks(float $r): float
    {
        $kept = max(Spectrum::LEAST, min(Spectrum::MOST, $r));

        return (1 - $kept) ** 2 / (2 * $kept);
    }

    /** Reflectance of a film too thick to see through. */
    public static function thick(float $ks): float
    {
        return 1 + $ks - sqrt($ks * $ks + 2 * $ks);
    }

    /**
     * Reflectance of a film over a ground.
     *
     * @param  float  $sx  scattering times film laid / reference film; above 0
     */
    public static function over(float $ks, float $ground, float $sx): float
    {
        $a = 1 + $ks;
        $b = sqrt(max(0.0, $a * $a - 1));
        // b coth(b SX) tends to 1/SX as b goes to 0.
        $coth = $b * $sx < 1e-7 ? 1 / $sx : $b / tanh($b * $sx);

        return (1 - $ground * ($a - $coth)) / ($a - $ground + $coth);
    }

    /**
     * A mix: K and S add up by volume, tinting strength and scattering.
     *
     * @param  non-empty-list<array{Spectrum, float, float, float}>  $paints  thick film, parts by volume, tinting strength, scattering
     */
    public static function mix(array $paints): Spectrum
    {
        $out = [];
        for ($i = 0; $i < Observer::BANDS; $i++) {
            $k = $s = 0.0;
            foreach ($paints as [$spectrum, $parts, $strength, $scattering]) {
                $weight = $parts * $strength * $scattering;
                $k += $weight * self::ks($spectrum->r[$i]);
                $s += $weight;
            }
            $out[] = self::thick($k / $s);
        }

        return new Spectrum($out);
    }

    /** A film of a paint over a ground, in every band. */
    public static function film(Spectrum $paint, Spectrum $ground, float $sx): Spectrum
    {
        return new Spectrum(array_map(static fn (float $r, float $g): float => self::over(self::ks($r), $g, $sx), $paint->r, $ground->r));
    }
}
