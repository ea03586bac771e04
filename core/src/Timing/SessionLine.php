<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use DateTimeImmutable;
use DateTimeZone;

/** Sessions in epoch seconds, one after the other: it grows as far as anybody looks. */
final class SessionLine
{
    /** @var list<array{int, int}> */
    private array $line = [];

    /** First and last date in the line, days since 1970-01-01 on the wall. */
    private int $begins = 0;

    private int $ends = 0;

    /** Where somebody looked last. */
    private int $last = 0;

    /**
     * @param  array<string, list<array{int, int}>>  $sessions  minutes of the day from and until, by weekday
     * @param  array<string, list<array{int, int}>>  $dates  single dates that are otherwise; none: away
     */
    public function __construct(private readonly array $sessions, private readonly array $dates, private readonly DateTimeZone $zone)
    {
    }

    /** @return int place, in the line of sessions, of the first that is not over at $epoch */
    public function after(int $epoch): int
    {
        $date = intdiv($epoch, 86400) - 1;
        if ($this->line === [] || $date < $this->begins) {
            [$this->begins, $this->ends, $this->line, $this->last] = [$date, $date, [], 0];
        }
        $i = $this->last;
        while ($i > 0 && $this->line[$i - 1][1] > $epoch) {
            $i--;
        }
        while (($session = $this->at($i)) !== null && $session[1] <= $epoch) {
            $i++;
        }

        return $this->last = $i;
    }

    /** @return array{int, int}|null the session at a place of the line, which grows as far as anybody looks; null where no more come */
    public function at(int $i): ?array
    {
        for ($empty = 0; ! isset($this->line[$i]) && $empty < Calendar::DAYS_AHEAD; $empty++) {
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
        ], $this->dates[$name] ?? $this->sessions[Calendar::DAYS[(int) $day->format('N') - 1]] ?? []);
        sort($sessions);

        return $sessions;
    }
}
