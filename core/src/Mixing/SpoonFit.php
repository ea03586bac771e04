<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Colour\SpoonReading;
use AmberStep\Core\Material\Optics;
use AmberStep\Core\Material\Product;

/** Reads a spoon back: how a paint hides, from what a film showed over its grounds; how it tints, from what a mix looked like (handbook 4, Colour). */
final class SpoonFit
{
    private const STEPS = 60;

    /**
     * The scattering with which the predicted films come nearest to what was seen.
     *
     * @param  float  $coats  reference coats on the spoon, above 0; a mist counts half
     * @param  non-empty-list<SpoonReading>  $readings
     * @return array{float, float} S of a reference coat, and the mean CIEDE2000 that is left
     */
    public static function hiding(Spectrum $thick, float $coats, array $readings): array
    {
        return self::least(...[...Optics::SCATTERS, static fn (float $s): float => self::error($thick, $s * $coats, $readings)]);
    }

    /**
     * The tinting strength of one paint of a mix with which its film comes nearest to what was seen.
     *
     * @param  non-empty-list<array{Product, float}>  $paints  with parts by volume
     * @param  int  $which  place of the paint that is fitted
     * @param  non-empty-list<SpoonReading>  $readings
     * @return array{float, float} strength, and the mean CIEDE2000 that is left
     */
    public static function strength(array $paints, int $which, float $coats, array $readings): array
    {
        $scatters = (new Blend($paints))->scattering;

        return self::least(...[...Optics::STRENGTH, static function (float $t) use ($paints, $which, $coats, $readings, $scatters): float {
            $parts = [];
            foreach ($paints as $i => [$product, $share]) {
                $part = Tones::part($product, $share);
                $part[2] = $i === $which ? $t : $part[2];
                $parts[] = $part;
            }

            return self::error(KubelkaMunk::mix($parts), $scatters * $coats, $readings);
        }]);
    }

    /**
     * The paint of a mix whose strength explains best what was seen: one spoon says something of one paint only.
     *
     * @param  non-empty-list<array{Product, float}>  $paints  with parts by volume
     * @param  string|null  $which  id of the paint that is fitted; null: whichever explains it best
     * @param  non-empty-list<SpoonReading>  $readings
     * @return array{Product, float, float}|null the paint, its strength, and the mean CIEDE2000 that is left; null where it is not in the mix
     */
    public static function strongest(array $paints, ?string $which, float $coats, array $readings): ?array
    {
        $best = null;
        foreach ($paints as $i => [$product]) {
            if ($which !== null && $product->id !== $which) {
                continue;
            }
            [$strength, $left] = self::strength($paints, $i, $coats, $readings);
            if ($best === null || $left < $best[2]) {
                $best = [$product, $strength, $left];
            }
        }

        return $best;
    }

    /** @param  non-empty-list<SpoonReading>  $readings */
    private static function error(Spectrum $thick, float $sx, array $readings): float
    {
        return array_sum(array_map(static fn (SpoonReading $r): float => KubelkaMunk::film($thick, $r->ground, $sx)->lab()->deltaE($r->seen), $readings)) / count($readings);
    }

    /**
     * Where a function of a positive figure is least: looked for evenly on a log scale, then closed in on.
     *
     * @param  callable(float): float  $of
     * @return array{float, float}
     */
    private static function least(float $from, float $to, callable $of): array
    {
        [$low, $high] = [log($from), log($to)];
        $best = [$low, INF];
        for ($i = 0; $i <= self::STEPS; $i++) {
            $at = $low + ($high - $low) * $i / self::STEPS;
            $value = $of(exp($at));
            $best = $value < $best[1] ? [$at, $value] : $best;
        }
        for ($width = ($high - $low) / self::STEPS; $width > 1e-5; $width /= 2) {
            foreach ([$best[0] - $width, $best[0] + $width] as $at) {
                $value = $at < $low || $at > $high ? INF : $of(exp($at));
                $best = $value < $best[1] ? [$at, $value] : $best;
            }
        }

        return [exp($best[0]), $best[1]];
    }
}
