<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Log;

use AmberStep\Core\Log\Learned;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\TestCase;

/** What minutes that were written down teach: how long it takes, and how far that spreads. */
final class LearnedTest extends TestCase
{
    public function test_the_spread_is_its_own_from_ten_jobs_on(): void
    {
        $learned = new Learned;
        // Half of them twice as long as estimated, half of them half as long: the logs lie at plus and minus ln 2.
        for ($i = 0; $i < 9; $i++) {
            $learned->hearMinutes(Operation::Fill, $i % 2 === 0 ? 20 : 5, 10);
        }
        self::assertNull($learned->spread(Operation::Fill));
        $learned->hearMinutes(Operation::Fill, 5, 10);

        self::assertEqualsWithDelta(1.0, $learned->pace(Operation::Fill), 1e-9);
        self::assertEqualsWithDelta(log(2) * sqrt(10 / 9), $learned->spread(Operation::Fill), 1e-9);
        self::assertNull($learned->spread(Operation::CutBack), 'of its own kind alone');
    }

    public function test_who_always_takes_as_long_spreads_not_at_all(): void
    {
        $learned = new Learned;
        for ($i = 0; $i < 12; $i++) {
            $learned->hearMinutes(Operation::CutBack, 15, 10);
        }

        self::assertEqualsWithDelta(1.5, $learned->pace(Operation::CutBack), 1e-9);
        self::assertEqualsWithDelta(0.0, $learned->spread(Operation::CutBack), 1e-9);
    }
}
