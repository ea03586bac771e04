<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

use DateTimeZone;

/** How a room goes through the day: warm and dry in the afternoon, cold and damp towards morning. */
final readonly class DailyCycle
{
    /** @param  float  $warmestHour wall-clock hour of the day's highest temperature */
    public function __construct(
        public float $lowC,
        public float $highC,
        public float $lowHumidity,
        public float $highHumidity,
        public DateTimeZone $zone,
        public float $warmestHour = 15.5,
    ) {
    }

    public function at(int $epoch): Conditions
    {
        $offset = $this->zone->getOffset(new \DateTimeImmutable('@'.$epoch));

        return $this->atMinuteOfDay(intdiv((($epoch + $offset) % 86400 + 86400) % 86400, 60));
    }

    public function atMinuteOfDay(int $minute): Conditions
    {
        $phase = cos(2 * M_PI * ($minute / 60 - $this->warmestHour) / 24);
        // Damp air lags less than warmth: it holds its day and night levels and turns over quickly between.
        $damp = -($phase <=> 0) * abs($phase) ** 0.5;

        return new Conditions(
            ($this->lowC + $this->highC) / 2 + ($this->highC - $this->lowC) / 2 * $phase,
            ($this->lowHumidity + $this->highHumidity) / 2 + ($this->highHumidity - $this->lowHumidity) / 2 * $damp,
        );
    }
}
