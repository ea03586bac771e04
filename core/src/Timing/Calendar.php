<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Document\Reader;
use DateTimeZone;

/** The user's sessions at the bench. They are wall time: a clock change moves them, holds it does not. */
final class Calendar
{
    private readonly SessionLine $line;

    private ?int $longest = null;

    public const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /** Days further than which nobody looks for a session. */
    public const DAYS_AHEAD = 60;

    /** Minutes: work longer than this is begun in the first session and carried on. */
    public const LONGEST_SESSION = 240;

    /**
     * @param  array<string, list<array{int, int}>>  $sessions minutes of the day from and until, by weekday
     * @param  array<string, list<array{int, int}>>  $dates  single dates that are otherwise, such as 2026-03-07; none: away
     */
    public function __construct(public readonly array $sessions, public readonly DateTimeZone $zone, public readonly ?int $atBenchUntilEpoch = null, public readonly ?int $nowEpoch = null, public readonly array $dates = [])
    {
        $this->line = new SessionLine($sessions, $dates, $zone);
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
        for ($i = $this->line->after($epoch), $last = $epoch + self::DAYS_AHEAD * 86400; ; $i++) {
            $session = $this->line->at($i);
            if ($session === null || $session[0] > $last) {
                return $first ?? $epoch;
            }
            $start = max($session[0], $epoch);
            if ($start + 60 * $minutes <= $session[1]) {
                return $start;
            }
            $first ??= $start;
            if ($minutes > max(self::LONGEST_SESSION, $this->longest() / 60)) {
                return $first;
            }
        }
    }

    /** When the time at the bench ends that runs at a moment; where none runs, no later than it; where no session is to come, never. */
    public function endsAt(int $epoch): int
    {
        $session = $this->line->at($this->line->after($epoch));
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
        for ($i = $this->line->after($from); ($session = $this->line->at($i)) !== null && $session[0] < $until; $i++) {
            $seconds += min($session[1], $until) - max($session[0], $from);
        }

        return $seconds;
    }

    /** The first moment by which the sessions from another on hold so many seconds; where none is to come, the last there is. */
    public function filled(int $from, int $seconds): int
    {
        // Time at the bench outside all sessions holds some of it too.
        $bench = max($from, $this->atBenchUntilEpoch ?? 0);
        $seconds -= $bench - $from - $this->secondsAtBench($from, $bench);
        $filled = $from;
        for ($i = $this->line->after($from); $seconds > 0 && ($session = $this->line->at($i)) !== null; $i++) {
            $begin = max($session[0], $from);
            $filled = min($session[1], $begin + $seconds);
            $seconds -= $filled - $begin;
        }

        return $filled;
    }

    /** @return list<array{int, int}> sessions from one moment to another, that which runs with what is left of it; time at the bench that was said counts as one */
    public function between(int $from, int $until): array
    {
        $sessions = [];
        $bench = $this->atBenchUntilEpoch ?? 0;
        for ($i = $this->line->after($from); ($session = $this->line->at($i)) !== null && $session[0] < $until; $i++) {
            [$begin, $end] = [max($session[0], $from), $session[1]];
            if ($bench > $from && $begin <= $bench) {
                [$begin, $end, $bench] = [$from, max($end, $bench), 0];
            }
            $sessions[] = [$begin, $end];
        }

        return $bench > $from ? [[$from, $bench], ...$sessions] : $sessions;
    }

    /** The last moment at which so many seconds of work begin in a session and end by a moment; what is longer than any begins as the last does. */
    public function latestFit(int $until, int $seconds): int
    {
        $first = null;
        // The line begins where somebody looked first: what lies before has to be in it.
        $this->line->after($until - self::DAYS_AHEAD * 86400);
        for ($i = $this->line->after($until - 1); $i >= 0; $i--) {
            $session = $this->line->at($i);
            if ($session === null || $session[0] >= $until) {
                continue;
            }
            $first ??= $session[0];
            $start = min($session[1], $until) - $seconds;
            if ($start >= $session[0]) {
                return $start;
            }
        }

        return $first ?? $until - $seconds;
    }

    /** @return list<int> when the next two sessions begin and end, and the time at the bench, as far as they lie after a moment */
    public function edgesAfter(int $epoch): array
    {
        $i = $this->line->after($epoch);
        $edges = [...($this->line->at($i) ?? []), ...($this->line->at($i + 1) ?? []), ...($this->atBenchUntilEpoch === null ? [] : [$this->atBenchUntilEpoch])];

        return array_values(array_filter($edges, static fn (int $edge): bool => $edge > $epoch));
    }

    /** When the first session begins that is yet to begin; a day later where none is to come. */
    public function nextAfter(int $epoch): int
    {
        for ($i = $this->line->after($epoch); ($session = $this->line->at($i)) !== null; $i++) {
            if ($session[0] > $epoch) {
                return $session[0];
            }
        }

        return $epoch + 86400;
    }

    /** When the session ends that runs at a moment; null where none does. */
    public function endOfSession(int $epoch): ?int
    {
        $session = $this->line->at($this->line->after($epoch));
        $ends = array_filter([$session !== null && $session[0] <= $epoch ? $session[1] : 0, $this->atBenchUntilEpoch ?? 0], static fn (int $end): bool => $end > $epoch);

        return $ends === [] ? null : min($ends);
    }

    /** @return array<string, list<array{from: int, until: int}>> */
    public function toArray(): array
    {
        return array_map(static fn (array $day): array => array_map(static fn (array $s): array => ['from' => $s[0], 'until' => $s[1]], $day), $this->sessions);
    }
}
