<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Drying;

use AmberStep\Core\Drying\Conditions;
use AmberStep\Core\Drying\DailyCycle;
use AmberStep\Core\Drying\Limits;
use AmberStep\Core\Drying\Reading;
use AmberStep\Core\Drying\Room;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The air of the room: the same to whoever asks, whenever they do. */
final class RoomTest extends TestCase
{
    private const MORNING = 1772434800;

    private const DAY = 86400;

    private static function cycle(string $zone = 'Europe/Lisbon'): DailyCycle
    {
        return new DailyCycle(12, 22, 0.45, 0.75, new DateTimeZone($zone));
    }

    /** @return list<Reading> */
    private static function readings(int $seed): array
    {
        mt_srand($seed);

        return array_map(static fn (): Reading => new Reading(self::MORNING + 60 * mt_rand(-2000, 2000), new Conditions(mt_rand(100, 300) / 10, mt_rand(30, 80) / 100)), array_fill(0, mt_rand(1, 8), null));
    }

    #[DataProvider('seeds')]
    public function test_the_air_of_a_moment_does_not_depend_on_when_one_asks(int $seed): void
    {
        $readings = self::readings($seed);
        $early = new Room($readings, self::MORNING, self::cycle());
        $late = new Room(array_reverse($readings), self::MORNING + 5 * self::DAY, self::cycle());
        for ($t = self::MORNING - 2 * self::DAY; $t < self::MORNING + 4 * self::DAY; $t += 1740) {
            self::assertEquals($early->at($t), $late->at($t));
            self::assertEquals($early->at($t), $early->at(intdiv($t, Room::SLOT) * Room::SLOT), 'within its quarter hour it stands still');
        }
    }

    #[DataProvider('seeds')]
    public function test_days_of_one_mark_have_the_same_air(int $seed): void
    {
        $room = new Room(self::readings($seed), self::MORNING, self::cycle());
        $first = [];
        // Over the day on which the clocks go forward, 29 March.
        for ($day = intdiv(self::MORNING, self::DAY) - 2; $day < intdiv(self::MORNING, self::DAY) + 40; $day++) {
            $as = $first[$room->dayMark($day)] ??= $day;
            for ($second = 0; $second < self::DAY; $second += 4 * Room::SLOT) {
                self::assertEquals($room->at($as * self::DAY + $second), $room->at($day * self::DAY + $second), gmdate('j M H:i', $day * self::DAY + $second));
            }
        }
        self::assertGreaterThan(3, count($first));
        self::assertLessThan(12, count($first), 'most days are forecast alike');
    }

    #[DataProvider('seeds')]
    public function test_it_turns_where_looking_at_every_quarter_hour_says(int $seed): void
    {
        $room = new Room(self::readings($seed), self::MORNING, self::cycle());
        $limits = new Limits;
        foreach ([true, false] as $gloss) {
            for ($t = self::MORNING; $t < self::MORNING + self::DAY; $t += 3660) {
                $fit = static fn (int $at): bool => $limits->trouble($room->at($at), $gloss) === null;
                $slots = range(intdiv($t, Room::SLOT) + 1, intdiv($t, Room::SLOT) + 192);
                $turn = array_values(array_filter($slots, static fn (int $slot): bool => $fit($slot * Room::SLOT) !== $fit($t)))[0] ?? null;
                self::assertSame($turn === null ? null : $turn * Room::SLOT, $room->turnsAfter($t, $gloss));
                self::assertSame($fit($t) ? $t : ($turn === null ? null : $turn * Room::SLOT), $room->fitFrom($t, $gloss));
            }
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 8) as $seed) {
            yield "room {$seed}" => [$seed];
        }
    }

    public function test_a_reading_speaks_for_six_hours_back_and_no_further_than_the_last_one(): void
    {
        $cold = new Reading(self::MORNING, new Conditions(8, 0.5));
        $mild = new Reading(self::MORNING + 8 * 3600, new Conditions(19, 0.5));
        $room = new Room([$mild, $cold], self::MORNING, self::cycle());
        $at = static fn (float $hours): float => round($room->at(self::MORNING + (int) (3600 * $hours))->temperatureC, 2);

        self::assertSame([8.0, 8.0], [$at(0), $at(6)]);
        self::assertSame(round(self::cycle()->at(self::MORNING + 7 * 3600)->temperatureC, 2), $at(7), 'nobody read it for so long: as forecast');
        self::assertSame([19.0, 19.0], [$at(8), $at(8.2)]);
        self::assertSame(round(self::cycle()->at(self::MORNING + 9 * 3600)->temperatureC, 2), $at(9), 'what comes is forecast');
        self::assertSame(8.0, (new Room([$cold], self::MORNING))->at(self::MORNING + 30 * self::DAY)->temperatureC, 'without a forecast the last word stands');
    }
}
