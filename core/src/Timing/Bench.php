<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\Room;
use DateTimeImmutable;
use DateTimeZone;

/** What there is one of, or a few: guns, places in the drying cabinet, places where one may spray; and the days of the shows. */
final class Bench
{
    /** Steps from hours to air and back until both agree on a moment: two weeks and more. */
    private const ROUNDS = 60;

    /** @var array<int, int> minute of the day at the begin of each quarter hour */
    private array $minutes = [];

    /**
     * @param  int  $guns  1 or more
     * @param  int  $cabinet  pieces that dry in the cabinet at a time, 1 or more
     * @param  list<SprayPlace>  $places  none: in the room, at any time
     * @param  array<string, int>  $due  by when a build has to be ready for its show, by its id
     */
    public function __construct(public readonly int $guns = 1, public readonly int $cabinet = PHP_INT_MAX, public readonly array $places = [], public readonly array $due = [])
    {
    }

    /** The first moment from one on at which one may spray somewhere for so many seconds; where no place is ever fit, as hours have it. */
    public function sprayFrom(int $epoch, int $seconds, bool $gloss, Room $room, DateTimeZone $zone): int
    {
        if ($this->places === []) {
            return $room->fitFrom($epoch, $gloss) ?? $epoch;
        }
        $first = $open = null;
        foreach ($this->places as $place) {
            if ($place->air !== null && $room->limits->trouble($place->air, $gloss) !== null) {
                $hours = $this->within($place, $epoch, $seconds, $zone);
                $open = $open === null ? $hours : min($open, $hours);

                continue;
            }
            $fit = $this->fit($place, $epoch, $seconds, $gloss, $room, $zone);
            $first = $first === null ? $fit : min($first, $fit);
        }

        return $first ?? $open ?? $epoch;
    }

    /** Seconds of the longest stretch in which somebody is at the bench and a place is open; 0 where these never meet. */
    public function longestSpray(Calendar $calendar): int
    {
        if ($this->places === []) {
            return $calendar->longest();
        }
        $longest = 0;
        foreach ([...array_values($calendar->sessions), ...array_values($calendar->dates)] as $day) {
            foreach ($day as [$from, $until]) {
                foreach ($this->places as $place) {
                    $longest = max($longest, 60 * (min($until, $place->until) - max($from, $place->from)));
                }
            }
        }

        return $longest;
    }

    private function fit(SprayPlace $place, int $epoch, int $seconds, bool $gloss, Room $room, DateTimeZone $zone): int
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $epoch = $this->within($place, $epoch, $seconds, $zone);
            $fit = $place->air === null ? $room->fitFrom($epoch, $gloss) ?? $epoch : $epoch;
            if ($fit === $epoch) {
                break;
            }
            $epoch = $fit;
        }

        return $epoch;
    }

    /** The first moment from one on at which the place is open for so long; what takes longer than it is ever open is begun as it opens. */
    private function within(SprayPlace $place, int $epoch, int $seconds, DateTimeZone $zone): int
    {
        $minute = $this->minute($epoch, $zone);
        $over = 60 * $minute + $epoch % 60 + min($seconds, 60 * ($place->until - $place->from)) > 60 * $place->until;
        if ($minute >= $place->from && ! $over) {
            return $epoch;
        }
        $wall = (new DateTimeImmutable('@'.$epoch))->setTimezone($zone);

        return ($minute >= $place->from ? $wall->modify('+1 day') : $wall)->setTime(intdiv($place->from, 60), $place->from % 60)->getTimestamp();
    }

    private function minute(int $epoch, DateTimeZone $zone): int
    {
        $slot = intdiv($epoch, 900);
        $this->minutes[$slot] ??= (int) (new DateTimeImmutable('@'.(900 * $slot)))->setTimezone($zone)->format('G') * 60 + (int) (new DateTimeImmutable('@'.(900 * $slot)))->setTimezone($zone)->format('i');

        return $this->minutes[$slot] + intdiv($epoch - 900 * $slot, 60);
    }
}
