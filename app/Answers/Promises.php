<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Promise;
use App\Clock\BenchClock;

/**
 * What the hands were told last, kept beside the answers: the next plan keeps to it (handbook 10, calm). With a kit, the week or
 * the guns changed it is made anew; changed back, what was told before counts again. Where all is lost the plan is made from the start lists.
 */
final class Promises
{
    private const FILE = 'promised';

    /** So many that were told before a change are kept besides. */
    private const BEFORE = 8;

    /** It is about all builds. */
    private const BENCH = 'bench';

    private const A_DAY = 86400;

    /** Seconds after which nobody remembers what was told. */
    private const FORGOTTEN = 14 * 86400;

    public function __construct(private readonly Store $store, private readonly Marks $marks, private readonly BenchClock $clock)
    {
    }

    /** @param  Hints  $hints  that hold now: found anew since, they are free to change all but the coming two sessions */
    public function now(Hints $hints, Calendar $calendar): Promise
    {
        $said = $this->last();
        $now = $this->clock->epoch();
        if ($said !== null && $said['rests'] !== $this->marks->ofKits()) {
            $says = $this->marks->ofWhatKitsSay();
            $was = $this->read(self::before($says));
            $said = $was !== null && $was['says'] === $says ? $was : null;
        }
        if ($said === null || $said['at'] > $now || $now - $said['at'] > self::FORGOTTEN) {
            return new Promise;
        }
        $until = $said['hints'] === self::mark($hints) ? PHP_INT_MAX : self::secondSession($calendar, $now);
        $begins = array_filter($said['begins'], static fn (int $begin): bool => $begin < $until);

        return new Promise($begins, $said['lets'], $said['sessions']);
    }

    public function keep(Promise $promise, Hints $hints): void
    {
        $now = $this->clock->epoch();
        $rests = $this->marks->ofKits();
        $last = $this->last();
        $says = $last !== null && $last['rests'] === $rests ? $last['says'] : $this->marks->ofWhatKitsSay();
        if ($last !== null && $last['says'] !== $says) {
            $this->write(self::before($last['says']), $last);
        }
        // What was done since is kept for a day: taken back, it has its place again.
        $done = array_diff_key(array_filter($last['begins'] ?? [], static fn (int $begin): bool => $begin > $now - self::A_DAY), $promise->begins);
        $this->write(self::FILE, [
            'at' => $now, 'rests' => $rests, 'says' => $says, 'hints' => self::mark($hints),
            'begins' => $done + $promise->begins, 'lets' => $promise->lets + array_intersect_key($last['lets'] ?? [], $done), 'sessions' => $promise->sessions,
        ]);
    }

    /** @return array{at: int, rests: string, says: string, hints: string, begins: array<string, int>, lets: array<string, int>, sessions: list<int>}|null */
    private function last(): ?array
    {
        return $this->read(self::FILE);
    }

    /** @return array{at: int, rests: string, says: string, hints: string, begins: array<string, int>, lets: array<string, int>, sessions: list<int>}|null */
    private function read(string $file): ?array
    {
        $said = @unserialize((string) $this->store->read(self::BENCH, $file), ['allowed_classes' => false]);
        $whole = is_array($said) && is_int($said['at'] ?? null) && is_string($said['rests'] ?? null) && is_string($said['says'] ?? null) && is_string($said['hints'] ?? null)
            && is_array($said['begins'] ?? null) && is_array($said['lets'] ?? null) && is_array($said['sessions'] ?? null);
        if (! $whole || ($file !== self::FILE && self::before($said['says']) !== $file)) {
            return null;
        }

        /** @var array{at: int, rests: string, says: string, hints: string, begins: array<string, int>, lets: array<string, int>, sessions: list<int>} */
        return $said;
    }

    /** @param  array<string, mixed>  $said */
    private function write(string $file, array $said): void
    {
        $this->store->write($this->store->path(self::BENCH, $file), serialize($said));
    }

    private static function before(string $says): string
    {
        return self::FILE.'-'.(crc32($says) % self::BEFORE);
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
