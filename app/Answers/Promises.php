<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Promise;
use App\Clock\BenchClock;

/**
 * What the hands were told last, kept beside the answers: the next plan keeps to it (handbook 10, calm). Where it is lost
 * the plan is made from the start lists.
 */
final readonly class Promises
{
    private const FILE = 'promised';

    /** It is about all builds. */
    private const BENCH = 'bench';

    /** Seconds after which nobody remembers what was told. */
    private const FORGOTTEN = 14 * 86400;

    public function __construct(private Store $store, private BenchClock $clock)
    {
    }

    /** @param  Hints  $hints  that hold now: found anew since, they are free to change all but the coming two sessions */
    public function now(Hints $hints, Calendar $calendar): Promise
    {
        $said = json_decode((string) $this->store->read(self::BENCH, self::FILE), true);
        $now = $this->clock->epoch();
        if (! is_array($said) || ! is_int($said['at'] ?? null) || $said['at'] > $now || $now - $said['at'] > self::FORGOTTEN || ! is_array($said['begins'] ?? null) || ! is_array($said['lets'] ?? null)) {
            return new Promise;
        }
        $begins = $lets = [];
        $until = ($said['hints'] ?? null) === self::mark($hints) ? PHP_INT_MAX : self::secondSession($calendar, $now);
        foreach ($said['begins'] as $key => $begin) {
            if (is_int($begin) && $begin < $until) {
                $begins[(string) $key] = $begin;
                $lets[(string) $key] = is_int($said['lets'][$key] ?? null) ? $said['lets'][$key] : $begin;
            }
        }

        return new Promise($begins, $lets, array_values(array_filter(is_array($said['sessions'] ?? null) ? $said['sessions'] : [], is_int(...))));
    }

    public function keep(Promise $promise, Hints $hints): void
    {
        $this->store->write($this->store->path(self::BENCH, self::FILE), json_encode(['at' => $this->clock->epoch(), 'hints' => self::mark($hints), 'begins' => $promise->begins, 'lets' => $promise->lets, 'sessions' => $promise->sessions], JSON_THROW_ON_ERROR));
    }

    private static function mark(Hints $hints): string
    {
        return hash('xxh64', serialize($hints));
    }

    private static function secondSession(Calendar $calendar, int $now): int
    {
        $first = $calendar->endsAt($now);
        $first = $first > $now ? $first : $calendar->endsAt($calendar->nextAfter($now));

        return $calendar->endsAt($calendar->nextAfter($first));
    }
}
