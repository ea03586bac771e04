<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

use AmberStep\Core\Material\DriesBy;

/** What warmth, moisture and film do to a wait (handbook 4, Waits are work). */
final class Factors
{
    /** 2^((20 - T)/10), kept within 0.12 and 4. */
    public static function temperature(float $temperatureC): float
    {
        return max(0.12, min(4.0, 2 ** ((20 - $temperatureC) / 10)));
    }

    /** 0.5 / (1 - RH), RH capped at 0.9: 50 % gives 1, 80 % gives 2.5. */
    public static function moisture(float $humidity): float
    {
        return 0.5 / (1 - min(0.9, $humidity));
    }

    /** (ratio)^1.3, never under 1, at most 4: twice the reference film waits 2.5 times. */
    public static function film(float $ratio): float
    {
        return max(1.0, min(4.0, $ratio ** 1.3));
    }

    /** All that the air does: minutes of clock for one minute of work. */
    public static function air(DriesBy $by, Conditions $air): float
    {
        return match ($by) {
            DriesBy::Itself => 1.0,
            DriesBy::Water => self::temperature($air->temperatureC) * self::moisture($air->humidity),
            default => self::temperature($air->temperatureC),
        };
    }
}
