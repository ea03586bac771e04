<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Drying;

use AmberStep\Core\Drying\Conditions;
use AmberStep\Core\Drying\DailyCycle;
use AmberStep\Core\Drying\Factors;
use AmberStep\Core\Drying\Limits;
use AmberStep\Core\Drying\Reading;
use AmberStep\Core\Drying\Room;
use AmberStep\Core\Drying\Wait;
use AmberStep\Core\Drying\Waits;
use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Log\AreaState;
use AmberStep\Core\Log\CabinetStay;
use AmberStep\Core\Log\Coat;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Log\Learned;
use AmberStep\Core\Log\Verdict;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\DriesBy;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\LabelFigures;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Work\Operation;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The check values of the handbook, and a second way to the same sums: minute by minute. */
final class WaitsTest extends TestCase
{
    private const NOON = 1772452800;

    #[DataProvider('dewPoints')]
    public function test_dew_point_by_magnus(float $temperature, float $humidity, float $dew): void
    {
        self::assertEqualsWithDelta($dew, (new Conditions($temperature, $humidity))->dewPointC(), 0.005);
    }

    /** @return iterable<array{float, float, float}> */
    public static function dewPoints(): iterable
    {
        yield [19.4, 0.58, 10.92];
        yield [25, 0.80, 21.31];
    }

    public function test_factors_of_the_handbook(): void
    {
        self::assertEqualsWithDelta(1.0, Factors::moisture(0.5), 1e-9);
        self::assertEqualsWithDelta(2.5, Factors::moisture(0.8), 1e-9);
        self::assertEqualsWithDelta(5.0, Factors::moisture(0.99), 1e-9);
        self::assertEqualsWithDelta(2.0, Factors::temperature(10), 1e-9);
        self::assertSame([4.0, 0.12], [Factors::temperature(-20), Factors::temperature(90)]);
        self::assertEqualsWithDelta(2.46, Factors::film(2), 0.01);
        self::assertEqualsWithDelta(1.45, Factors::film(4 / 3), 0.01);
        self::assertSame([1.0, 4.0], [Factors::film(0.5), Factors::film(9)]);
    }

    public function test_a_cabinet_at_45_degrees_dries_the_air_of_a_20_degree_room(): void
    {
        self::assertEqualsWithDelta(0.15, (new Conditions(20, 0.6))->warmedTo(45)->humidity, 0.01);
    }

    public function test_an_hour_of_work_half_at_20_then_at_10_degrees_is_over_after_90_minutes(): void
    {
        $room = new Room([new Reading(self::NOON, new Conditions(20, 0.5)), new Reading(self::NOON + 1800, new Conditions(10, 0.5))], self::NOON + 1800);

        self::assertSame(self::NOON + 90 * 60, (new WorkClock($room))->endOf(self::NOON, 60, DriesBy::Solvent));
    }

    #[DataProvider('airs')]
    public function test_the_clock_ends_where_counting_each_minute_ends(DriesBy $by, float $work, int $offset): void
    {
        $zone = new DateTimeZone('Europe/Lisbon');
        $cycle = new DailyCycle(12, 24, 0.4, 0.85, $zone);
        $room = new Room([new Reading(self::NOON - 7000, new Conditions(16, 0.7)), new Reading(self::NOON - 900, new Conditions(19, 0.5))], self::NOON, $cycle);
        $from = self::NOON + $offset;
        for ($t = $from, $sum = 0.0; $sum < $work - 1e-9; $t += 60) {
            $sum += 1 / Factors::air($by, $room->at($t));
        }

        self::assertEqualsWithDelta($t, (new WorkClock($room))->endOf($from, $work, $by), 16 * 60);
    }

    /** @return iterable<array{DriesBy, float, int}> */
    public static function airs(): iterable
    {
        foreach ([DriesBy::Water, DriesBy::Solvent, DriesBy::Oxygen] as $by) {
            foreach ([15, 400, 1440, 20160] as $work) {
                foreach ([-6000, 0, 50000] as $offset) {
                    yield [$by, $work, $offset];
                }
            }
        }
    }

    public function test_time_in_the_cabinet_counts_for_more(): void
    {
        $clock = new WorkClock(new Room([], self::NOON, new DailyCycle(20, 20, 0.5, 0.5, new DateTimeZone('UTC'))));
        $stay = new CabinetStay(self::NOON + 3600, self::NOON + 7200, 40);
        $plain = $clock->endOf(self::NOON, 600, DriesBy::Solvent);
        // At 40 °C an hour does the work of four: three hours are saved.
        self::assertSame($plain - 3 * 3600, $clock->endOf(self::NOON, 600, DriesBy::Solvent, [$stay]));
    }

    public function test_superglue_with_accelerator_minds_no_air(): void
    {
        $clock = new WorkClock(new Room([new Reading(self::NOON, new Conditions(5, 0.9))], self::NOON));

        self::assertSame(self::NOON + 120, $clock->endOf(self::NOON, 2, DriesBy::Itself));
    }

    public function test_four_aerosol_clears_wait_nearly_half_as_long_again(): void
    {
        $aerosol = new Product('01K00000000000000000000001', 'clear', '', Family::Aerosol, Role::Varnish);
        $coats = array_map(static fn (int $i): Coat => new Coat(self::NOON + 900 * $i, CoatKind::Light, 15, "e{$i}"), [0, 1, 2, 3]);
        $waits = new Waits(new WorkClock(Room::reference(self::NOON)), new Learned);
        $wait = $waits->of(new Layer(Operation::Gloss, 'all', $aerosol, $coats), WaitKind::TapeSafe, new AreaState);

        self::assertEqualsWithDelta(1.45, $wait->filmFactor, 0.01);
        self::assertStringContainsString('film', $wait->words());
    }

    public function test_coats_laid_after_the_layer_was_tape_safe_count_anew(): void
    {
        $lacquer = new Product('01K00000000000000000000001', 'lacquer', '', Family::Lacquer, Role::Colour);
        $coat = static fn (int $hours): Coat => new Coat(self::NOON + 3600 * $hours, CoatKind::Heavy, 10, "e{$hours}");
        $waits = new Waits(new WorkClock(Room::reference(self::NOON)), new Learned);
        $together = $waits->of(new Layer(Operation::Colour, 'a', $lacquer, [$coat(0), $coat(1), $coat(2)]), WaitKind::Cured, new AreaState);
        $apart = $waits->of(new Layer(Operation::Colour, 'a', $lacquer, [$coat(0), $coat(1), $coat(40)]), WaitKind::Cured, new AreaState);

        self::assertGreaterThan(2, $together->filmFactor);
        self::assertSame(1.0, $apart->filmFactor);
    }

    public function test_a_label_beats_the_table_at_the_labels_own_conditions(): void
    {
        $label = new LabelFigures(['flash' => 30.0], 10, 0.5);
        $paint = new Product('01K00000000000000000000001', 'paint', '', Family::Lacquer, Role::Colour, label: $label);

        self::assertEqualsWithDelta(15, Waits::typical($paint, WaitKind::Flash), 1e-9);
        self::assertSame(360.0, Waits::typical($paint, WaitKind::TapeSafe));
    }

    public function test_soft_is_believed_at_once_and_fine_after_three(): void
    {
        $learned = new Learned;
        $learned->hear('p', 'tape-safe', Verdict::Soft, 1.2);
        self::assertEqualsWithDelta(1.5, $learned->factor('p', 'tape-safe'), 1e-9);
        foreach ([0.5, 0.6] as $age) {
            $learned->hear('p', 'tape-safe', Verdict::Fine, $age);
        }
        self::assertEqualsWithDelta(1.5, $learned->factor('p', 'tape-safe'), 1e-9);
        $learned->hear('p', 'tape-safe', Verdict::Fine, 0.4);
        self::assertEqualsWithDelta(0.7, $learned->factor('p', 'tape-safe'), 1e-9);
    }

    public function test_the_room_is_fit_for_spraying_from_about_nine_to_ten_at_night(): void
    {
        $cycle = new DailyCycle(14, 22, 0.45, 0.80, new DateTimeZone('UTC'));
        $fit = static fn (int $minute, bool $gloss = false): bool => (new Limits)->trouble($cycle->atMinuteOfDay($minute), $gloss) === null;

        self::assertSame([false, true, true, false], [$fit(8 * 60 + 45), $fit(9 * 60), $fit(22 * 60), $fit(22 * 60 + 30)]);
        self::assertTrue($fit(20 * 60, true));
        self::assertFalse($fit(21 * 60 + 45, true));
    }

    public function test_spans_read_as_people_say_them(): void
    {
        self::assertSame(['45 min', '1 h', '2 h 15', '24 h', '3 d', '2 d 5 h'], array_map(Wait::span(...), [45.0, 60.0, 135.0, 1440.0, 4320.0, 3180.0]));
    }
}
