<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

/** The room paint is sprayed and dries in: what was read, and what the day will bring. */
final readonly class Room
{
    /** A reading says nothing of a day without one. */
    private const READING_HOLDS_SECONDS = 6 * 3600;

    /** @var list<Reading> oldest first */
    public array $readings;

    /**
     * @param  list<Reading>  $readings
     * @param  int  $nowEpoch  readings speak for the time before, the cycle for the time after
     */
    public function __construct(array $readings, public int $nowEpoch, public ?DailyCycle $cycle = null, public Limits $limits = new Limits)
    {
        usort($readings, static fn (Reading $a, Reading $b): int => $a->atEpoch <=> $b->atEpoch);
        $this->readings = $readings;
    }

    /** 20 °C and 50 % RH, where nothing is known. */
    public static function reference(int $nowEpoch): self
    {
        return new self([], $nowEpoch);
    }

    public function at(int $epoch): Conditions
    {
        $reading = $this->lastReadingBefore($epoch);
        $fresh = $reading !== null && $epoch - $reading->atEpoch <= self::READING_HOLDS_SECONDS;
        if ($epoch <= $this->nowEpoch && $fresh) {
            return $reading->air;
        }

        $known = $reading ?? $this->readings[0] ?? null;

        return $this->cycle?->at($epoch) ?? ($known === null ? Conditions::reference() : $known->air);
    }

    public function now(): Conditions
    {
        return $this->at($this->nowEpoch);
    }

    /** The first moment from $epoch on that the air is fit for spraying; null where no day of the forecast is. */
    public function fitFrom(int $epoch, bool $gloss): ?int
    {
        if ($this->limits->trouble($this->at($epoch), $gloss) === null) {
            return $epoch;
        }
        $step = DailyCycle::STEP_MINUTES * 60;
        if ($this->cycle === null) {
            return null;
        }
        for ($i = 1, $t = intdiv($epoch, $step) * $step; $i <= 2 * 96; $i++) {
            if ($this->limits->trouble($this->at($t + $i * $step), $gloss) === null) {
                return $t + $i * $step;
            }
        }

        return null;
    }

    /**
     * Instants inside a stretch at which the air as known changes: readings, now, quarter hours of the cycle.
     *
     * @return list<int>
     */
    public function changesBetween(int $from, int $until): array
    {
        $out = [];
        foreach ($this->readings as $reading) {
            array_push($out, $reading->atEpoch, $reading->atEpoch + self::READING_HOLDS_SECONDS + 1);
        }
        $out[] = $this->nowEpoch + 1;
        if ($this->cycle !== null) {
            $step = DailyCycle::STEP_MINUTES * 60;
            for ($t = (intdiv($from, $step) + 1) * $step; $t < $until; $t += $step) {
                $out[] = $t;
            }
        }
        $out = array_values(array_unique(array_filter($out, static fn (int $t): bool => $t > $from && $t < $until)));
        sort($out);

        return $out;
    }

    private function lastReadingBefore(int $epoch): ?Reading
    {
        $low = 0;
        $high = count($this->readings);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->readings[$middle]->atEpoch <= $epoch) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $this->readings[$low - 1] ?? null;
    }
}
