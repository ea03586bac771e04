<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

use AmberStep\Core\Log\CabinetStay;
use AmberStep\Core\Material\DriesBy;

/**
 * Waits as work (handbook 4): each minute adds 1/(wait under that minute's air), and the wait is over
 * when the sum is 1. The air is taken as constant between readings and within quarter hours of the cycle.
 */
final class WorkClock
{
    private const DAY = 86400;

    /** Further than this nobody plans. */
    private const MOST_DAYS = 1500;

    /** @var array<string, array<int, array{non-empty-list<int>, non-empty-list<float>, non-empty-list<float>}>> begins, rates and sums, by kind and day */
    private array $sums = [];

    /** @var array<string, float> */
    private array $cycleRates = [];

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
        $kind = $by === DriesBy::Water ? 'moist' : 'warm';
        $t = $from;
        for ($day = intdiv($from, self::DAY), $last = $day + self::MOST_DAYS; $day < $last; $day++) {
            if ($stays === [] || ! $this->stayOn($day, $stays)) {
                $sums = $this->sums[$kind][$day] ??= $this->sumsOf($day, $by);
                $goal = self::workAt($sums, $t) + $work;
                if ($goal <= $sums[2][count($sums[0])] + 1e-9) {
                    return self::timeOf($sums, $goal);
                }
                $work = $goal - $sums[2][count($sums[0])];
            } else {
                foreach ($this->stretches($day, $by, $stays, $t) as [$begin, $end, $rate]) {
                    if ($work <= ($end - $begin) * $rate + 1e-9) {
                        return $begin + $work / $rate;
                    }
                    $work -= ($end - $begin) * $rate;
                }
            }
            $t = ($day + 1) * self::DAY;
        }

        return $t;
    }

    /**
     * A day's stretches with the work done by the beginning of each, so that any moment of it is found by halving.
     *
     * @return array{non-empty-list<int>, non-empty-list<float>, non-empty-list<float>} begins, rates, work by each begin and by the end
     */
    private function sumsOf(int $day, DriesBy $by): array
    {
        $stretches = $this->ratesOf($day, $by);
        $sums = [0.0];
        foreach ($stretches as $i => [$begin, $rate]) {
            $sums[] = $sums[$i] + (($stretches[$i + 1][0] ?? ($day + 1) * self::DAY) - $begin) * $rate;
        }

        return [array_map(static fn (array $s): int => $s[0], $stretches), array_map(static fn (array $s): float => $s[1], $stretches), $sums];
    }

    /** @param  array{non-empty-list<int>, non-empty-list<float>, non-empty-list<float>}  $sums */
    private static function workAt(array $sums, int $t): float
    {
        $i = self::lastNotOver($sums[0], $t);

        return $sums[2][$i] + ($t - $sums[0][$i]) * $sums[1][$i];
    }

    /** @param  array{non-empty-list<int>, non-empty-list<float>, non-empty-list<float>}  $sums */
    private static function timeOf(array $sums, float $work): float
    {
        $i = min(self::lastNotOver($sums[2], $work), count($sums[0]) - 1);

        return $sums[0][$i] + ($work - $sums[2][$i]) / $sums[1][$i];
    }

    /** @param  non-empty-list<int|float>  $sorted that begin at or under $value */
    private static function lastNotOver(array $sorted, int|float $value): int
    {
        $low = 0;
        $high = count($sorted);
        while ($high - $low > 1) {
            $middle = ($low + $high) >> 1;
            if ($sorted[$middle] <= $value) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /**
     * @param  list<CabinetStay>  $stays
     * @return list<array{int, int, float}> begin, end and rate, from $from to the end of the day
     */
    private function stretches(int $day, DriesBy $by, array $stays, int $from): array
    {
        $end = ($day + 1) * self::DAY;
        $rates = $this->withStays($this->ratesOf($day, $by), $end, $stays, $by);
        $out = [];
        foreach ($rates as $i => [$begin, $rate]) {
            $until = $rates[$i + 1][0] ?? $end;
            if ($until > $from) {
                $out[] = [max($begin, $from), $until, $rate];
            }
        }

        return $out;
    }

    /** @return non-empty-list<array{int, float}> */
    private function ratesOf(int $day, DriesBy $by): array
    {
        $begin = $day * self::DAY;

        return array_map(fn (int $t): array => [$t, $this->rate($t, $by)], [$begin, ...$this->room->changesBetween($begin, $begin + self::DAY)]);
    }

    private function rate(int $t, DriesBy $by): float
    {
        $cycle = $this->room->cycle;
        if ($cycle === null || $t <= $this->room->nowEpoch) {
            return 1 / Factors::air($by, $this->room->at($t));
        }
        $key = $by->value.(($t + $cycle->zone->getOffset(new \DateTimeImmutable('@'.$t))) % self::DAY);

        return $this->cycleRates[$key] ??= 1 / Factors::air($by, $cycle->at($t));
    }

    /**
     * @param  list<array{int, float}>  $rates
     * @param  list<CabinetStay>  $stays
     * @return list<array{int, float}>
     */
    private function withStays(array $rates, int $end, array $stays, DriesBy $by): array
    {
        $times = array_column($rates, 0);
        $begin = $times[0] ?? $end;
        foreach ($stays as $stay) {
            foreach ([$stay->fromEpoch, $stay->untilEpoch] as $t) {
                if ($t !== null && $t > $begin && $t < $end) {
                    $times[] = $t;
                }
            }
        }
        $times = array_values(array_unique($times));
        sort($times);

        return array_map(fn (int $t): array => [$t, $this->rateWithStays($t, $stays, $by)], $times);
    }

    /** @param  list<CabinetStay>  $stays */
    private function rateWithStays(int $t, array $stays, DriesBy $by): float
    {
        foreach ($stays as $stay) {
            if ($stay->covers($t)) {
                return 1 / Factors::air($by, $this->room->at($t)->warmedTo($stay->temperatureC));
            }
        }

        return $this->rate($t, $by);
    }

    /** @param  list<CabinetStay>  $stays */
    private function stayOn(int $day, array $stays): bool
    {
        foreach ($stays as $stay) {
            if ($stay->fromEpoch < ($day + 1) * self::DAY && ($stay->untilEpoch ?? PHP_INT_MAX) > $day * self::DAY) {
                return true;
            }
        }

        return false;
    }
}
