<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Material\Product;

/** What the plastic is moulded in: strong colours bleed, and show through. */
final class MouldedColour
{
    /** A strong hue, red above all: chroma by the spread of its channels, 0 to 255. */
    public static function isStrong(?string $swatch): bool
    {
        $rgb = self::channels($swatch);

        return $rgb !== null && max($rgb) - min($rgb) > 110 && min($rgb) < 90;
    }

    /** Black, red or another strong colour: it takes four coats of primer to lose, not two (handbook 2). */
    public static function isHardToCover(?string $swatch): bool
    {
        $rgb = self::channels($swatch);

        return $rgb !== null && (max($rgb) < 90 || self::isStrong($swatch));
    }

    /** White, cream, yellow or pink: what a dye that climbs shows in. Blue and green hide it. */
    public static function isPale(?Product $product): bool
    {
        $rgb = self::channels($product?->swatch);

        return $rgb !== null && ColourOrder::lightness($product) >= 70 && $rgb[0] >= $rgb[1] - 6 && $rgb[0] >= $rgb[2] - 6;
    }

    /** @return array{int, int, int}|null */
    private static function channels(?string $swatch): ?array
    {
        if ($swatch === null || preg_match('/\A#([0-9A-Fa-f]{2})([0-9A-Fa-f]{2})([0-9A-Fa-f]{2})\z/', $swatch, $m) !== 1) {
            return null;
        }

        return [(int) hexdec($m[1]), (int) hexdec($m[2]), (int) hexdec($m[3])];
    }
}
