<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Colour\ToneStep;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Shelf;

/** Tones that are just different: a little of a lighter or darker paint in the colour (handbook 4, Colour, Uses). */
final class Tones
{
    /** Lightness per CIEDE2000: less than this is a change of hue. */
    private const MOSTLY_LIGHTNESS = 0.5;

    /** More parts than this to one nobody measures. */
    private const MOST_PARTS = 60;

    /**
     * So many parts of the colour to one of the other for a difference, as near the middle of its range as whole parts come.
     *
     * @param  array{float, float}  $range  CIEDE2000
     * @return array{int, float}|null parts, and CIEDE2000; null where no whole number of parts gives one
     */
    public static function different(Product $colour, Product $other, array $range = ToneStep::SUBTLE): ?array
    {
        $plain = KubelkaMunk::mix([self::part($colour, 1)])->lab();
        $differs = static fn (int $parts): float => KubelkaMunk::mix([self::part($colour, $parts), self::part($other, 1)])->lab()->deltaE($plain);
        // The more of the colour, the less the other shows: halve until the middle of what is subtle is between two.
        $middle = array_sum($range) / 2;
        [$low, $high] = [1, self::MOST_PARTS];
        while ($high - $low > 1) {
            $half = intdiv($low + $high, 2);
            $differs($half) > $middle ? $low = $half : $high = $half;
        }
        $best = null;
        foreach ([$low, $high] as $parts) {
            $difference = $differs($parts);
            if ($difference >= $range[0] && $difference <= $range[1] && ($best === null || abs($difference - $middle) < abs($best[1] - $middle))) {
                $best = [$parts, $difference];
            }
        }

        return $best;
    }

    /**
     * The paint of the same family that makes it lighter, or darker, with least change of hue: what most of the
     * difference is in lightness.
     *
     * @param  array{float, float}  $range  CIEDE2000
     * @return array{Product, int, float}|null paint, parts of the colour to one of it, and CIEDE2000
     */
    public static function towards(Product $colour, Shelf $shelf, bool $lighter, array $range = ToneStep::SUBTLE): ?array
    {
        $best = null;
        $plain = $colour->spectrum()->lab();
        foreach ($shelf->products as $other) {
            if ($other->swatch === null || $other->role !== Role::Colour || $other->family !== $colour->family || $other->id === $colour->id) {
                continue;
            }
            // Nobody tints with a mix that is itself still to be mixed.
            if ($other->mix !== null && ($other->levelMl ?? 0.0) <= 0.0) {
                continue;
            }
            // A darker paint never makes it lighter: most of the shelf need not be tried.
            if (($other->spectrum()->lab()->l > $plain->l) !== $lighter) {
                continue;
            }
            $tone = self::different($colour, $other, $range);
            if ($tone === null) {
                continue;
            }
            $mixed = KubelkaMunk::mix([self::part($colour, $tone[0]), self::part($other, 1)])->lab();
            $rise = ($mixed->l - $plain->l) / $tone[1];
            if (($lighter ? $rise : -$rise) > max(self::MOSTLY_LIGHTNESS, abs($best[3] ?? 0.0))) {
                $best = [$other, $tone[0], $tone[1], $rise];
            }
        }

        return $best === null ? null : [$best[0], $best[1], $best[2]];
    }

    /** @return array{Spectrum, float, float, float} a paint as the mixing takes it */
    public static function part(Product $product, float $parts): array
    {
        return [$product->spectrum(), $parts, Coverage::strength($product), Coverage::scattering($product)];
    }
}
