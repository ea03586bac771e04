<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Step;

use AmberStep\Core\Drying\Wait;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Work\HoldKind;
use PHPUnit\Framework\TestCase;

/** What of a heap of holds is kept decides alike to all of it. */
final class HoldTest extends TestCase
{
    private const NOW = 1000;

    private static function hold(int $from, int $until, HoldKind $kind = HoldKind::Touch): Hold
    {
        return new Hold($kind, 'wing', $from, $until, 'touch', 'coat 1', new Wait($from - 600, $until, 10, began: "plan:{$from}"));
    }

    public function test_what_lasts_longest_stands_for_all_that_has_begun(): void
    {
        mt_srand(4);
        for ($case = 0; $case < 200; $case++) {
            $holds = [];
            for ($i = mt_rand(0, 9); $i > 0; $i--) {
                $from = mt_rand(0, 2000);
                $holds[] = self::hold($from, $from + mt_rand(1, 1500));
            }
            $few = Hold::lasting($holds, self::NOW);
            self::assertLessThanOrEqual(2, count($few));
            // What has begun decides until when one waits; what is planned counts once all of it has begun.
            foreach ([[self::NOW, true], [2001, false]] as [$moment, $begunOnly]) {
                $ends = static fn (array $of): int => max([0, ...array_map(static fn (Hold $h): int => $h->untilEpoch, array_filter($of, static fn (Hold $h): bool => ! $begunOnly || $h->fromEpoch <= $moment))]);
                self::assertSame($ends($holds), $ends($few), "case {$case} at {$moment}");
            }
        }
    }

    public function test_it_says_what_began_it_and_where_nobody_did(): void
    {
        self::assertSame('plan:100', self::hold(100, 200)->began());
        self::assertNull((new Hold(HoldKind::NotBefore, 'wing', 0, 500, 'set', 'you said so'))->began());
    }

    public function test_a_chance_is_lost_when_it_begins_and_says_after_how_long(): void
    {
        $window = self::hold(4600, 9000, HoldKind::Window);

        self::assertSame([true, false], [$window->closesAfter(4599), $window->closesAfter(4600)]);
        self::assertEqualsWithDelta(10.0, $window->closesAfterMinutes(), 1e-9);
        self::assertNull(self::hold(4600, 9000)->closesAfterMinutes(), 'touch-dry is no chance');
        self::assertFalse(self::hold(4600, 9000)->closesAfter(0));
        self::assertSame([false, true, true, false], array_map($window->covers(...), [4599, 4600, 8999, 9000]));
    }

    public function test_a_minute_or_a_hundredth_of_the_wait_is_nobodys_fault(): void
    {
        $day = self::hold(0, 86400);
        self::assertSame([false, true, true], array_map($day->forgives(...), [86400 - 865, 86400 - 864, 86390]));
        $short = self::hold(0, 600);
        self::assertSame([false, true], array_map($short->forgives(...), [539, 540]));
    }
}
