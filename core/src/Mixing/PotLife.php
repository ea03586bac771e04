<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Material\Family;

/** How long a hardened mix lives: by its label, else 2 h for two-part paint and 4 h for hardened enamel; half of it per 10 °C warmer (handbook 2). */
final class PotLife
{
    public const TWO_PART = 120.0;

    public const ENAMEL = 240.0;

    /** @return float minutes at 20 °C where no label says otherwise */
    public static function usual(Family $family): float
    {
        return $family === Family::TwoPart ? self::TWO_PART : self::ENAMEL;
    }

    /** @return float minutes at a room's temperature, of so many at 20 °C */
    public static function at(float $minutes, float $temperatureC): float
    {
        return $minutes * 2 ** ((20 - $temperatureC) / 10);
    }
}
