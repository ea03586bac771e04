<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

/** Limits for spraying: 15 to 28 °C, RH to 70 %, gloss to 60 % (handbook 4, Dew point). */
final readonly class Limits
{
    public function __construct(
        public float $lowestC = 15,
        public float $highestC = 28,
        public float $highestHumidity = 0.70,
        public float $highestHumidityForGloss = 0.60,
    ) {
    }

    /** What is wrong with the air for spraying, in words; null where it will do. */
    public function trouble(Conditions $air, bool $gloss): ?string
    {
        $most = $gloss ? $this->highestHumidityForGloss : $this->highestHumidity;

        return match (true) {
            $air->temperatureC < $this->lowestC => sprintf('%.1f °C is under the %g °C that spraying needs', $air->temperatureC, $this->lowestC),
            $air->temperatureC > $this->highestC => sprintf('%.1f °C is over the %g °C that spraying takes', $air->temperatureC, $this->highestC),
            $air->humidity > $most => sprintf('%d %% RH is over the %d %% that %s takes', round($air->humidity * 100), round($most * 100), $gloss ? 'gloss' : 'spraying'),
            default => null,
        };
    }
}
