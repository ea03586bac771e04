<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

use AmberStep\Core\Material\DriesBy;

/** One wait worked out, with what it is made of, so that a screen can show the sum. */
final readonly class Wait
{
    /**
     * @param  float  $typicalMinutes  at 20 °C and 50 % RH, for a reference coat
     * @param  float  $filmFactor  1 or more
     * @param  float  $learnedFactor  1 until the log says otherwise
     * @param  DriesBy|null  $by  what has to leave, or happen
     * @param  string|null  $began  the event that began it, or "plan:" and the key of the step that will
     */
    public function __construct(public int $fromEpoch, public int $untilEpoch, public float $typicalMinutes, public float $filmFactor = 1, public float $learnedFactor = 1, public ?DriesBy $by = null, public ?string $began = null)
    {
    }

    /** Minutes at 20 °C and 50 % RH. */
    public function workMinutes(): float
    {
        return $this->typicalMinutes * $this->filmFactor * $this->learnedFactor;
    }

    /** Minutes on the clock for one minute of work: what the air did. */
    public function airFactor(): float
    {
        $work = $this->workMinutes();

        return $work > 0 ? ($this->untilEpoch - $this->fromEpoch) / 60 / $work : 1;
    }

    public function words(): string
    {
        $parts = ['typically '.self::span($this->typicalMinutes)];
        foreach ([['film', $this->filmFactor], ['learned', $this->learnedFactor], ['air', $this->airFactor()]] as [$name, $factor]) {
            if (abs($factor - 1) >= 0.05) {
                $parts[] = sprintf('%s × %.2g', $name, $factor);
            }
        }

        return implode(', ', $parts);
    }

    /** 45 min, 2 h, 2 h 15, 3 d. */
    public static function span(float $minutes): string
    {
        $whole = (int) round($minutes);

        return match (true) {
            $whole < 120 && $whole !== 60 => $whole.' min',
            $whole >= 2880 && $whole % 1440 === 0 => intdiv($whole, 1440).' d',
            $whole >= 2880 => intdiv($whole, 1440).' d '.intdiv($whole % 1440, 60).' h',
            $whole % 60 === 0 => intdiv($whole, 60).' h',
            default => intdiv($whole, 60).' h '.sprintf('%02d', $whole % 60),
        };
    }
}
