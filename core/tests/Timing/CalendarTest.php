<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Timing;

use AmberStep\Core\Timing\Calendar;
use DateTimeImmutable;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Sessions looked up one after the other, against looking at every minute on the wall. */
final class CalendarTest extends TestCase
{
    private const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    private static function epoch(string $local, string $zone = 'Europe/Lisbon'): int
    {
        return (new DateTimeImmutable($local, new DateTimeZone($zone)))->getTimestamp();
    }

    #[DataProvider('weeks')]
    public function test_work_begins_at_the_first_minute_from_which_it_fits(int $seed): void
    {
        mt_srand($seed);
        $calendar = self::random();
        $from = self::epoch('2026-03-27 00:00') + 60 * mt_rand(0, 4000);
        for ($i = 0; $i < 15; $i++) {
            $epoch = $from + 60 * mt_rand(0, 3000);
            $minutes = (float) mt_rand(1, 200);
            $fits = self::minuteByMinute($calendar, $epoch, $minutes);
            if ($fits === null) {
                continue;
            }
            self::assertSame($fits, $calendar->earliestFit($epoch, $minutes), date('D H:i', $epoch)." for {$minutes} min");
        }
    }

    /** @return iterable<string, array{int}> */
    public static function weeks(): iterable
    {
        foreach (range(1, 8) as $seed) {
            yield "week {$seed}" => [$seed];
        }
    }

    private static function random(): Calendar
    {
        $sessions = [];
        foreach (self::WEEKDAYS as $day) {
            $sessions[$day] = [];
            for ($at = 60 * mt_rand(6, 12); $at < 1200 && mt_rand(0, 3) > 0; $at = $until + 30 * mt_rand(1, 8)) {
                $until = min(1440, $at + 10 * mt_rand(3, 24));
                $sessions[$day][] = [$at, $until];
            }
        }

        return new Calendar($sessions, new DateTimeZone('Europe/Lisbon'));
    }

    private static function minuteByMinute(Calendar $calendar, int $from, float $minutes): ?int
    {
        for ($start = $from; $start < $from + 8 * 86400; $start += 60) {
            for ($t = $start; $t < $start + 60 * $minutes && self::runs($calendar, $t, $start); $t += 60) {
            }
            if ($t >= $start + 60 * $minutes) {
                return $start;
            }
        }

        return null;
    }

    /** Whether the session runs at $t that ran at $since: two that lie side by side are two. */
    private static function runs(Calendar $calendar, int $t, int $since): bool
    {
        $wall = (new DateTimeImmutable('@'.$t))->setTimezone($calendar->zone);
        foreach ($calendar->sessions[self::WEEKDAYS[(int) $wall->format('N') - 1]] as [$begins, $ends]) {
            $begin = $wall->setTime(intdiv($begins, 60), $begins % 60)->getTimestamp();
            $end = $wall->setTime(intdiv($ends, 60), $ends % 60)->getTimestamp();
            if ($t >= $begin && $t < $end && $since >= $begin) {
                return true;
            }
        }

        return false;
    }

    public function test_a_session_keeps_its_wall_time_through_a_change_of_the_clocks(): void
    {
        $calendar = Calendar::usual(new DateTimeZone('Europe/Lisbon'));

        // The clocks go forward on 29 March: Friday is UTC, Monday an hour ahead.
        self::assertSame(self::epoch('2026-03-27 19:00'), $calendar->earliestFit(self::epoch('2026-03-27 12:00'), 60));
        self::assertSame(self::epoch('2026-03-30 19:00'), $calendar->earliestFit(self::epoch('2026-03-28 15:30'), 60), 'half an hour is left on Saturday, Sunday has none');
        self::assertSame('18:00', gmdate('H:i', $calendar->earliestFit(self::epoch('2026-03-29 12:00'), 60)));
    }

    public function test_what_is_longer_than_any_session_begins_with_the_first(): void
    {
        $calendar = Calendar::usual(new DateTimeZone('UTC'));
        $sunday = self::epoch('2026-03-01 12:00', 'UTC');

        self::assertSame(self::epoch('2026-03-02 19:00', 'UTC'), $calendar->earliestFit($sunday, 600));
        self::assertSame(self::epoch('2026-03-07 10:00', 'UTC'), $calendar->earliestFit($sunday, 200), 'what fits into a Saturday waits for it');
        self::assertSame($sunday, (new Calendar([], new DateTimeZone('UTC')))->earliestFit($sunday, 30), 'who has no sessions is never told to wait');
    }

    public function test_who_is_at_the_bench_works_outside_the_sessions_too_and_no_longer_than_said(): void
    {
        $noon = self::epoch('2026-03-02 12:00', 'UTC');
        $calendar = Calendar::usual(new DateTimeZone('UTC'))->atBench($noon, 90);

        self::assertSame([$noon, $noon + 1800], [$calendar->earliestFit($noon, 90), $calendar->earliestFit($noon + 1800, 60)]);
        self::assertSame(self::epoch('2026-03-02 19:00', 'UTC'), $calendar->earliestFit($noon + 1800, 61));
        self::assertSame($noon + 5400, $calendar->endOfSession($noon));
        self::assertNull($calendar->endOfSession($noon + 5400));
        self::assertContains($noon + 5400, $calendar->edgesAfter($noon));
        self::assertNotContains($noon + 5400, $calendar->edgesAfter($noon + 5400));
    }

    public function test_the_edges_ahead_are_those_of_this_session_and_the_next(): void
    {
        $calendar = Calendar::usual(new DateTimeZone('UTC'));
        [$monday, $tuesday] = [self::epoch('2026-03-02 19:00', 'UTC'), self::epoch('2026-03-03 19:00', 'UTC')];

        self::assertSame([$monday, $monday + 7200, $tuesday, $tuesday + 7200], $calendar->edgesAfter($monday - 1));
        self::assertSame([$monday + 7200, $tuesday, $tuesday + 7200], $calendar->edgesAfter($monday));
        self::assertSame([$tuesday, $tuesday + 7200], array_slice($calendar->edgesAfter($monday + 7200), 0, 2));
        self::assertSame([null, $monday + 7200], [$calendar->endOfSession($monday - 1), $calendar->endOfSession($monday)]);
        self::assertSame([$monday, $monday + 7200], array_slice($calendar->edgesAfter($monday - 1), 0, 2), 'looking back after looking ahead');
    }
}
