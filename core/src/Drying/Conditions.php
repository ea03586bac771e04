<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

/** Air at one moment. */
final readonly class Conditions
{
    /** @param  float  $humidity relative, 0 to 1 */
    public function __construct(public float $temperatureC, public float $humidity)
    {
    }

    public static function reference(): self
    {
        return new self(20, 0.5);
    }

    /** Dew point in °C by Magnus (handbook 4): 19.4 °C and 58 % give 10.92 °C. */
    public function dewPointC(): float
    {
        $g = log(max($this->humidity, 0.01)) + 17.62 * $this->temperatureC / (243.12 + $this->temperatureC);

        return 243.12 * $g / (17.62 - $g);
    }

    /** The same air warmed to a cabinet's temperature: its dew point stays, its relative humidity falls. */
    public function warmedTo(float $temperatureC): self
    {
        $dew = $this->dewPointC();
        $humidity = exp(17.62 * $dew / (243.12 + $dew) - 17.62 * $temperatureC / (243.12 + $temperatureC));

        return new self($temperatureC, min(1.0, $humidity));
    }

    public function words(): string
    {
        return sprintf('%s °C, %d %% RH', rtrim(rtrim(number_format($this->temperatureC, 1, '.', ''), '0'), '.'), (int) round($this->humidity * 100));
    }
}
