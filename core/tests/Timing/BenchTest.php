<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Timing;

use AmberStep\Core\Drying\Conditions;
use AmberStep\Core\Drying\Room;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\SprayPlace;
use DateTimeImmutable;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where and when one may spray: hours on the wall, through both changes of the clock, and the air of each place. */
final class BenchTest extends TestCase
{
    /** @return iterable<string, array{string, int, string}> asked at, seconds it takes, sprayed from; wall time in Berlin */
    public static function moments(): iterable
    {
        yield 'open already' => ['2026-03-03 11:07', 600, '2026-03-03 11:07'];
        yield 'before it opens' => ['2026-03-03 09:10', 600, '2026-03-03 10:00'];
        yield 'too late for so long' => ['2026-03-03 17:55', 600, '2026-03-04 10:00'];
        yield 'just in time' => ['2026-03-03 17:50', 600, '2026-03-03 18:00 less 10'];
        yield 'over the night the clock goes forward' => ['2026-03-28 19:00', 600, '2026-03-29 10:00'];
        yield 'over the night it goes back' => ['2026-10-24 19:00', 600, '2026-10-25 10:00'];
        yield 'longer than it is ever open' => ['2026-03-03 19:00', 9 * 3600, '2026-03-04 10:00'];
    }

    #[DataProvider('moments')]
    public function test_a_place_is_open_by_the_wall_clock(string $asked, int $seconds, string $from): void
    {
        $zone = new DateTimeZone('Europe/Berlin');
        $wall = static fn (string $at): int => (new DateTimeImmutable(explode(' less', $at)[0], $zone))->getTimestamp() - (str_contains($at, 'less') ? 600 : 0);
        $bench = new Bench(places: [new SprayPlace('balcony', 600, 1080)]);

        self::assertSame($wall($from), $bench->sprayFrom($wall($asked), $seconds, false, Room::reference($wall($asked)), $zone));
    }

    public function test_the_soonest_place_with_fit_air_is_taken_and_one_never_fit_only_where_there_is_no_other(): void
    {
        $zone = new DateTimeZone('UTC');
        $now = gmmktime(9, 0, 0, 3, 3, 2026);
        $room = Room::reference($now);
        $cold = new SprayPlace('shed', 540, 1080, new Conditions(6, 0.5));
        $damp = new SprayPlace('cellar', 540, 1080, new Conditions(20, 0.65));
        $late = new SprayPlace('kitchen', 1200, 1320);

        self::assertSame($now, (new Bench)->sprayFrom($now, 600, true, $room, $zone), 'in the room, at any time');
        self::assertSame($now, (new Bench(places: [$damp, $late]))->sprayFrom($now, 600, false, $room, $zone));
        self::assertSame($now + 11 * 3600, (new Bench(places: [$damp, $late]))->sprayFrom($now, 600, true, $room, $zone), 'gloss wants drier air');
        self::assertSame($now + 11 * 3600, (new Bench(places: [$cold, $late]))->sprayFrom($now, 600, false, $room, $zone));
        self::assertSame($now, (new Bench(places: [$cold]))->sprayFrom($now, 600, false, $room, $zone), 'what the user has is planned for, and the step says what is wrong');
    }
}
