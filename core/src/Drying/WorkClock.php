<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

use AmberStep\Core\Log\CabinetStay;
use AmberStep\Core\Material\DriesBy;

/**
 * Waits as work (handbook 4): each minute adds 1/(wait under that minute's air), and the wait is over
 * when the sum is 1. The air is constant within quarter hours; in the cabinet, from going in to coming out.
 */
final class WorkClock
{
    private const DAY = 86400;

    /** Further than this nobody plans. */
    private const MOST_DAYS = 1500;

    /** @var array<string, array{non-empty-list<float>, non-empty-list<float>}> rates by quarter hour, and work done by the beginning of each, by kind and what marks the day */
    private array $days = [];

    /** @var array<int, array{non-empty-list<float>, non-empty-list<float>}> the same of what dries with the moisture, by day */
    private array $moist = [];

    /** @var array<int, array{non-empty-list<float>, non-empty-list<float>}> the same of all else, by day */
    private array $warm = [];

    public function __construct(public readonly Room $room)
    {
    }

    /**
     * When a wait begun at $fromEpoch is over, rounded up to a whole minute.
     *
     * @param  float  $workMinutes  typical wait x film x learned, in minutes at 20 °C and 50 % RH
     * @param  list<CabinetStay>  $stays
     */
    public function endOf(int $fromEpoch, float $workMinutes, DriesBy $by, array $stays = []): int
    {
        if ($workMinutes <= 0) {
            return $fromEpoch;
        }
        $seconds = $by === DriesBy::Itself
            ? $fromEpoch + $workMinutes * 60
            : $this->walk($fromEpoch, $workMinutes * 60, $by, $stays);

        return (int) (ceil(round($seconds, 3) / 60) * 60);
    }

    /** @param  list<CabinetStay>  $stays */
    private function walk(int $from, float $work, DriesBy $by, array $stays): float
    {
        $t = $from;
        for ($day = intdiv($from, self::DAY), $last = $day + self::MOST_DAYS; $day < $last; $day++) {
            $begin = $day * self::DAY;
            if ($stays === [] || ! self::stayOn($day, $stays)) {
                [$rates, $sums] = $this->day($day, $by);
                $slot = intdiv($t - $begin, Room::SLOT);
                $goal = $sums[$slot] + ($t - $begin - $slot * Room::SLOT) * $rates[$slot] + $work;
                $all = $sums[count($rates)];
                if ($goal <= $all + 1e-9) {
                    return $begin + self::timeOf($rates, $sums, $goal);
                }
                $work = $goal - $all;
            } else {
                foreach ($this->stretches($day, $by, $stays, $t) as [$start, $end, $rate]) {
                    if ($work <= ($end - $start) * $rate + 1e-9) {
                        return $start + $work / $rate;
                    }
                    $work -= ($end - $start) * $rate;
                }
            }
            $t = $begin + self::DAY;
        }

        return $t;
    }

    /**
     * A day's rates with the work done by the beginning of each quarter hour, so that any moment of it is found by
     * halving. Days that are forecast alike share them.
     *
     * @return array{non-empty-list<float>, non-empty-list<float>} rates, and work by each beginning and by the end
     */
    private function day(int $day, DriesBy $by): array
    {
        if ($by === DriesBy::Water) {
            return $this->moist[$day] ??= $this->days['moist '.$this->room->dayMark($day)] ??= $this->sumsOf($day, $by);
        }

        return $this->warm[$day] ??= $this->days['warm '.$this->room->dayMark($day)] ??= $this->sumsOf($day, $by);
    }

    /** @return array{non-empty-list<float>, non-empty-list<float>} */
    private function sumsOf(int $day, DriesBy $by): array
    {
        $rates = [];
        $sums = [0.0];
        for ($i = 0; $i < self::DAY / Room::SLOT; $i++) {
            $rates[] = $rate = 1 / Factors::air($by, $this->room->at($day * self::DAY + $i * Room::SLOT));
            $sums[] = $sums[$i] + Room::SLOT * $rate;
        }

        return [$rates === [] ? [1.0] : $rates, $sums];
    }

    /**
     * @param  non-empty-list<float>  $rates
     * @param  non-empty-list<float>  $sums
     * @return float seconds of the day
     */
    private static function timeOf(array $rates, array $sums, float $work): float
    {
        $low = 0;
        $high = count($rates);
        while ($high - $low > 1) {
            $middle = ($low + $high) >> 1;
            if ($sums[$middle] <= $work) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $low * Room::SLOT + ($work - $sums[$low]) / $rates[$low];
    }

    /**
     * @param  list<CabinetStay>  $stays
     * @return list<array{int, int, float}> begin, end and rate, from $from to the end of the day
     */
    private function stretches(int $day, DriesBy $by, array $stays, int $from): array
    {
        $begin = $day * self::DAY;
        $end = $begin + self::DAY;
        $times = range($begin, $end - 1, Room::SLOT);
        foreach ($stays as $stay) {
            foreach ([$stay->fromEpoch, $stay->untilEpoch] as $t) {
                if ($t !== null && $t > $begin && $t < $end) {
                    $times[] = $t;
                }
            }
        }
        $times = array_values(array_unique($times));
        sort($times);
        $out = [];
        foreach ($times as $i => $start) {
            $until = $times[$i + 1] ?? $end;
            if ($until > $from) {
                $out[] = [max($start, $from), $until, $this->rateWithStays($start, $stays, $by)];
            }
        }

        return $out;
    }

    /** @param  list<CabinetStay>  $stays */
    private function rateWithStays(int $t, array $stays, DriesBy $by): float
    {
        foreach ($stays as $stay) {
            if ($stay->covers($t)) {
                return 1 / Factors::air($by, $this->room->at($t)->warmedTo($stay->temperatureC));
            }
        }

        return 1 / Factors::air($by, $this->room->at($t));
    }

    /** @param  list<CabinetStay>  $stays */
    private static function stayOn(int $day, array $stays): bool
    {
        foreach ($stays as $stay) {
            if ($stay->fromEpoch < ($day + 1) * self::DAY && ($stay->untilEpoch ?? PHP_INT_MAX) > $day * self::DAY) {
                return true;
            }
        }

        return false;
    }
}
