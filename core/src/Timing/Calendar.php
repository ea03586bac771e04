<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Document\Reader;
use DateTimeImmutable;
use DateTimeZone;

/** The user's sessions at the bench. They are wall time: a clock change moves them, holds it does not. */
final class Calendar
{
    /** @var array<string, list<array{int, int}>> sessions in epoch seconds, by date */
    private array $known = [];

    private const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /** Further than this nobody looks for a session. */
    private const DAYS_AHEAD = 60;

    /** Minutes: work longer than this is begun in the first session and carried on. */
    private const LONGEST_SESSION = 240;

    /** @param  array<string, list<array{int, int}>>  $sessions minutes of the day from and until, by weekday */
    public function __construct(public readonly array $sessions, public readonly DateTimeZone $zone, public readonly ?int $atBenchUntilEpoch = null, public readonly ?int $nowEpoch = null)
    {
    }

    /** Weekdays 19:00 to 21:00, Saturday 10:00 to 16:00. */
    public static function usual(DateTimeZone $zone): self
    {
        return new self([...array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri'], [[19 * 60, 21 * 60]]), 'sat' => [[600, 960]], 'sun' => []], $zone);
    }

    public static function read(Reader $in, DateTimeZone $zone): self
    {
        $sessions = [];
        foreach (self::DAYS as $day) {
            $sessions[$day] = $in->each($day, static function (Reader $s): array {
                $from = $s->whole('from', 0, 1439, 1140);
                $until = $s->whole('until', 1, 1440, 1260);
                $s->refuseTheRest();
                if ($until <= $from) {
                    $s->problems->add($s->path('until'), 'is not after the start', 'give minutes of the day, the end after the start');
                }

                return [$from, $until];
            }, 10);
        }
        $in->refuseTheRest();

        return new self($sessions, $zone);
    }

    /** The same calendar while the user is at the bench, for so many minutes from now. */
    public function atBench(int $nowEpoch, int $minutes): self
    {
        return new self($this->sessions, $this->zone, $nowEpoch + 60 * $minutes, $nowEpoch);
    }

    /**
     * The earliest start from $epoch on at which so many minutes of work fit into a session; what is longer
     * than any session starts with the first.
     */
    public function earliestFit(int $epoch, float $minutes): int
    {
        if ($this->nowEpoch !== null && $this->atBenchUntilEpoch !== null && $epoch >= $this->nowEpoch && $epoch + 60 * $minutes <= $this->atBenchUntilEpoch) {
            return $epoch;
        }
        $first = null;
        foreach ($this->from($epoch) as [$start, $end]) {
            $start = max($start, $epoch);
            if ($start + 60 * $minutes <= $end) {
                return $start;
            }
            $first ??= $start;
            if ($minutes > self::LONGEST_SESSION) {
                return $first;
            }
        }

        return $first ?? $epoch;
    }

    /** @return iterable<array{int, int}> sessions that are not over at $epoch */
    private function from(int $epoch): iterable
    {
        $offset = $this->zone->getOffset(new DateTimeImmutable('@'.$epoch));
        $date = intdiv($epoch + $offset, 86400);
        for ($i = 0; $i < self::DAYS_AHEAD; $i++) {
            foreach ($this->on($date + $i) as $session) {
                if ($session[1] > $epoch) {
                    yield $session;
                }
            }
        }
    }

    /**
     * @param  int  $date  days since 1970-01-01, of the calendar on the wall
     * @return list<array{int, int}>
     */
    private function on(int $date): array
    {
        $text = gmdate('Y-m-d', $date * 86400);
        if (! isset($this->known[$text])) {
            $day = new DateTimeImmutable($text, $this->zone);
            $this->known[$text] = array_map(static fn (array $s): array => [
                $day->setTime(intdiv($s[0], 60), $s[0] % 60)->getTimestamp(),
                $day->setTime(intdiv($s[1], 60), $s[1] % 60)->getTimestamp(),
            ], $this->sessions[self::DAYS[(int) $day->format('N') - 1]] ?? []);
        }

        return $this->known[$text];
    }

    /** @return array<string, list<array{from: int, until: int}>> */
    public function toArray(): array
    {
        return array_map(static fn (array $day): array => array_map(static fn (array $s): array => ['from' => $s[0], 'until' => $s[1]], $day), $this->sessions);
    }
}
