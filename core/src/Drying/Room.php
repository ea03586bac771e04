<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

use DateTimeImmutable;

/**
 * The room paint is sprayed and dries in: what was read, and what the day will bring. Its air stands still within
 * a quarter hour and never depends on when one asks: readings speak up to the last one and through its quarter hour,
 * the forecast from there on.
 */
final class Room
{
    /** Seconds in which the air is taken as constant, from the full hour. */
    public const SLOT = 900;

    /** A reading says nothing of a day without one. */
    private const READING_HOLDS_SECONDS = 6 * 3600;

    private const DAY = 86400;

    /** Quarter hours that are searched for air fit to spray in: two days. */
    private const MOST_SLOTS = 192;

    /** @var list<Reading> oldest first */
    public readonly array $readings;

    /** Quarter hours after this one are forecast alone. */
    private readonly int $lastReadSlot;

    /** @var array<int, Conditions> by quarter hour, where readings speak */
    private array $read = [];

    /** @var array<int, Conditions> by quarter hour of the day on the wall */
    private array $forecast = [];

    /** @var array<int, int|null> seconds east of UTC by day; null where the clocks change on it */
    private array $offsets = [];

    /** @var array<int, bool> whether one may spray, by quarter hour and sheen */
    private array $fits = [];

    /**
     * @param  list<Reading>  $readings
     * @param  int  $nowEpoch  for what is asked of this moment; the air itself does not depend on it
     */
    public function __construct(array $readings, public readonly int $nowEpoch, public readonly ?DailyCycle $cycle = null, public readonly Limits $limits = new Limits)
    {
        usort($readings, static fn (Reading $a, Reading $b): int => $a->atEpoch <=> $b->atEpoch);
        $this->readings = $readings;
        $last = $readings[count($readings) - 1] ?? null;
        $this->lastReadSlot = $last === null ? PHP_INT_MIN : self::slot($last->atEpoch);
    }

    /** 20 °C and 50 % RH, where nothing is known. */
    public static function reference(int $nowEpoch): self
    {
        return new self([], $nowEpoch);
    }

    public function at(int $epoch): Conditions
    {
        return $this->ofSlot(self::slot($epoch));
    }

    public function now(): Conditions
    {
        return $this->at($this->nowEpoch);
    }

    /** The first moment from $epoch on that the air is fit for spraying; null where no day of the forecast is. */
    public function fitFrom(int $epoch, bool $gloss): ?int
    {
        $slot = self::slot($epoch);
        if ($this->fits($slot, $gloss)) {
            return $epoch;
        }
        if ($this->cycle === null) {
            return null;
        }
        for ($i = 1; $i <= self::MOST_SLOTS; $i++) {
            if ($this->fits($slot + $i, $gloss)) {
                return ($slot + $i) * self::SLOT;
            }
        }

        return null;
    }

    /** When the air next becomes, or ceases to be, fit for spraying; null where it does not within two days. */
    public function turnsAfter(int $epoch, bool $gloss): ?int
    {
        $slot = self::slot($epoch);
        $is = $this->fits($slot, $gloss);
        for ($i = 1; $i <= self::MOST_SLOTS; $i++) {
            if ($this->fits($slot + $i, $gloss) !== $is) {
                return ($slot + $i) * self::SLOT;
            }
        }

        return null;
    }

    /**
     * What the air of a whole day is told apart by: days of one mark have the same air at the same seconds.
     *
     * @param  int  $day  days since 1970-01-01 UTC
     */
    public function dayMark(int $day): string
    {
        $first = $day * (self::DAY / self::SLOT);
        if ($this->readings !== [] && ($first <= $this->lastReadSlot || $this->cycle === null)) {
            return 'read '.$day;
        }
        $offset = $this->offset($day);

        return $offset === null ? 'turn '.$day : 'forecast '.$offset;
    }

    private static function slot(int $epoch): int
    {
        return (int) floor($epoch / self::SLOT);
    }

    private function ofSlot(int $slot): Conditions
    {
        if ($slot <= $this->lastReadSlot) {
            return $this->read[$slot] ??= $this->readOrForecast($slot);
        }

        return $this->forecast($slot) ?? ($this->readings === [] ? Conditions::reference() : $this->readings[count($this->readings) - 1]->air);
    }

    private function readOrForecast(int $slot): Conditions
    {
        $reading = $this->lastBefore(($slot + 1) * self::SLOT);
        $fresh = $reading !== null && $slot * self::SLOT - $reading->atEpoch <= self::READING_HOLDS_SECONDS;

        return $fresh ? $reading->air : $this->forecast($slot) ?? ($reading ?? $this->readings[0])->air;
    }

    private function forecast(int $slot): ?Conditions
    {
        if ($this->cycle === null) {
            return null;
        }
        $epoch = $slot * self::SLOT;
        $offset = $this->offset(intdiv($epoch, self::DAY)) ?? $this->cycle->zone->getOffset(new DateTimeImmutable('@'.$epoch));
        $minute = intdiv((($epoch + $offset) % self::DAY + self::DAY) % self::DAY, 60);

        return $this->forecast[$minute] ??= $this->cycle->atMinuteOfDay($minute);
    }

    private function offset(int $day): ?int
    {
        if (! array_key_exists($day, $this->offsets)) {
            $zone = $this->cycle?->zone;
            $begin = $zone?->getOffset(new DateTimeImmutable('@'.$day * self::DAY)) ?? 0;
            $end = $zone?->getOffset(new DateTimeImmutable('@'.($day + 1) * self::DAY)) ?? 0;
            $this->offsets[$day] = $begin === $end ? $begin : null;
        }

        return $this->offsets[$day];
    }

    private function fits(int $slot, bool $gloss): bool
    {
        return $this->fits[2 * $slot + ($gloss ? 1 : 0)] ??= $this->limits->trouble($this->ofSlot($slot), $gloss) === null;
    }

    private function lastBefore(int $epoch): ?Reading
    {
        $low = 0;
        $high = count($this->readings);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->readings[$middle]->atEpoch < $epoch) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $this->readings[$low - 1] ?? null;
    }
}
