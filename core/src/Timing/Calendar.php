<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Document\Reader;
use DateTimeImmutable;
use DateTimeZone;

/** The user's sessions at the bench. They are wall time: a clock change moves them, holds it does not. */
final class Calendar
{
    /** @var list<array{int, int}> sessions in epoch seconds, one after the other */
    private array $line = [];

    /** First and last date in the line, days since 1970-01-01 on the wall. */
    private int $begins = 0;

    private int $ends = 0;

    private ?int $longest = null;

    /** Where somebody looked last. */
    private int $at = 0;

    public const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /** Further than this nobody looks for a session. */
    private const DAYS_AHEAD = 60;

    /** Minutes: work longer than this is begun in the first session and carried on. */
    public const LONGEST_SESSION = 240;

    /**
     * @param  array<string, list<array{int, int}>>  $sessions minutes of the day from and until, by weekday
     * @param  array<string, list<array{int, int}>>  $dates  single dates that are otherwise, such as 2026-03-07; none: away
     */
    public function __construct(public readonly array $sessions, public readonly DateTimeZone $zone, public readonly ?int $atBenchUntilEpoch = null, public readonly ?int $nowEpoch = null, public readonly array $dates = [])
    {
    }

    /** @param  array<string, list<array{int, int}>>  $dates  as above */
    public function with(array $dates): self
    {
        return new self($this->sessions, $this->zone, $this->atBenchUntilEpoch, $this->nowEpoch, $dates);
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
        return new self($this->sessions, $this->zone, $nowEpoch + 60 * $minutes, $nowEpoch, $this->dates);
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
        for ($i = $this->sessionAfter($epoch), $last = $epoch + self::DAYS_AHEAD * 86400; ; $i++) {
            $session = $this->session($i);
            if ($session === null || $session[0] > $last) {
                return $first ?? $epoch;
            }
            $start = max($session[0], $epoch);
            if ($start + 60 * $minutes <= $session[1]) {
                return $start;
            }
            $first ??= $start;
            if ($minutes > self::LONGEST_SESSION) {
                return $first;
            }
        }
    }

    /** When the time at the bench ends that runs at a moment; where none runs, no later than it; where no session is to come, never. */
    public function endsAt(int $epoch): int
    {
        $session = $this->session($this->sessionAfter($epoch));
        if ($session === null) {
            return PHP_INT_MAX;
        }

        return max($session[0] <= $epoch ? $session[1] : 0, $this->atBenchUntilEpoch ?? 0);
    }

    /** @return int seconds of the longest usual session, or of this one */
    public function longest(): int
    {
        if ($this->longest === null) {
            $this->longest = ($this->atBenchUntilEpoch ?? 0) - ($this->nowEpoch ?? 0);
            $usual = array_filter($this->sessions, static fn (array $day): bool => $day !== []);
            foreach ($usual === [] ? $this->dates : $usual as $day) {
                foreach ($day as [$from, $until]) {
                    $this->longest = max($this->longest, 60 * ($until - $from));
                }
            }
        }

        return $this->longest;
    }

    /** Seconds that pass for each second at the bench, over a usual week. */
    public function secondsPerWorked(): float
    {
        $minutes = 0;
        foreach ($this->sessions as $day) {
            foreach ($day as [$from, $until]) {
                $minutes += $until - $from;
            }
        }

        return $minutes === 0 ? 1.0 : 7 * 1440 / $minutes;
    }

    /** Seconds of sessions from one moment to another. */
    public function secondsAtBench(int $from, int $until): int
    {
        $seconds = 0;
        for ($i = $this->sessionAfter($from); ($session = $this->session($i)) !== null && $session[0] < $until; $i++) {
            $seconds += min($session[1], $until) - max($session[0], $from);
        }

        return $seconds;
    }

    /** @return list<int> when the next two sessions begin and end, and the time at the bench, as far as they lie after a moment */
    public function edgesAfter(int $epoch): array
    {
        $i = $this->sessionAfter($epoch);
        $edges = [...($this->session($i) ?? []), ...($this->session($i + 1) ?? []), ...($this->atBenchUntilEpoch === null ? [] : [$this->atBenchUntilEpoch])];

        return array_values(array_filter($edges, static fn (int $edge): bool => $edge > $epoch));
    }

    /** When the first session begins that is yet to begin; a day later where none is to come. */
    public function nextAfter(int $epoch): int
    {
        for ($i = $this->sessionAfter($epoch); ($session = $this->session($i)) !== null; $i++) {
            if ($session[0] > $epoch) {
                return $session[0];
            }
        }

        return $epoch + 86400;
    }

    /** When the session ends that runs at a moment; null where none does. */
    public function endOfSession(int $epoch): ?int
    {
        $session = $this->session($this->sessionAfter($epoch));
        $ends = array_filter([$session !== null && $session[0] <= $epoch ? $session[1] : 0, $this->atBenchUntilEpoch ?? 0], static fn (int $end): bool => $end > $epoch);

        return $ends === [] ? null : min($ends);
    }

    /** @return int place, in the line of sessions, of the first that is not over at $epoch */
    private function sessionAfter(int $epoch): int
    {
        $date = intdiv($epoch, 86400) - 1;
        if ($this->line === [] || $date < $this->begins) {
            [$this->begins, $this->ends, $this->line, $this->at] = [$date, $date, [], 0];
        }
        $i = $this->at;
        while ($i > 0 && $this->line[$i - 1][1] > $epoch) {
            $i--;
        }
        while (($session = $this->session($i)) !== null && $session[1] <= $epoch) {
            $i++;
        }

        return $this->at = $i;
    }

    /** @return array{int, int}|null the session at a place of the line, which grows as far as anybody looks; null where no more come */
    private function session(int $i): ?array
    {
        for ($empty = 0; ! isset($this->line[$i]) && $empty < self::DAYS_AHEAD; $empty++) {
            array_push($this->line, ...$this->on($this->ends++));
        }

        return $this->line[$i] ?? null;
    }

    /**
     * @param  int  $date  days since 1970-01-01, of the calendar on the wall
     * @return list<array{int, int}>
     */
    private function on(int $date): array
    {
        $name = gmdate('Y-m-d', $date * 86400);
        $day = new DateTimeImmutable($name, $this->zone);

        $sessions = array_map(static fn (array $s): array => [
            $day->setTime(intdiv($s[0], 60), $s[0] % 60)->getTimestamp(),
            $day->setTime(intdiv($s[1], 60), $s[1] % 60)->getTimestamp(),
        ], $this->dates[$name] ?? $this->sessions[self::DAYS[(int) $day->format('N') - 1]] ?? []);
        sort($sessions);

        return $sessions;
    }

    /** @return array<string, list<array{from: int, until: int}>> */
    public function toArray(): array
    {
        return array_map(static fn (array $day): array => array_map(static fn (array $s): array => ['from' => $s[0], 'until' => $s[1]], $day), $this->sessions);
    }
}
