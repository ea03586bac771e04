<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\Invariants;
use AmberStep\Core\Tests\Support\RandomBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A plan names the moment until which it holds if nobody does anything. */
final class ValidityTest extends TestCase
{
    use Invariants;

    private const BUILDS = 200;

    private const PER_CASE = 25;

    /** Steps that are done of a plan before it is looked at again. */
    private const FOLLOWED = 3;

    /** Each minute is looked at to begin with, then each of so many; with AMBER_EVERY_MINUTE set, each of all. */
    private const CLOSELY = 12;

    private const APART = 97;

    #[DataProvider('builds')]
    public function test_until_then_a_plan_made_anew_has_the_same_steps_order_and_hold_ends(int $from): void
    {
        $looked = 0;
        for ($seed = $from; $seed < $from + self::PER_CASE; $seed++) {
            $random = new RandomBuild($seed);
            $build = new Build($random->said());
            $this->work($build, $random->one([1, 4, 9, 17, 30]));
            $build->now += $random->one([0, 60, 420, 3600]);
            $looked += $this->holds($build, $random->one([null, 90]), $seed);
        }
        self::assertGreaterThan(3 * self::PER_CASE, $looked);
    }

    private function holds(Build $build, ?int $minutes, int $seed): int
    {
        $begun = $build->now;
        $plan = $build->planAt($begun, $minutes, $begun);
        self::assertGreaterThan($begun, $plan->validUntil, "seed {$seed}");
        self::assertGreaterThanOrEqual($plan->validUntil, $plan->holdsUntil, "seed {$seed}");
        $looked = 0;
        for ($minute = 1; $begun + 60 * $minute < $plan->holdsUntil; $minute += $minute < self::CLOSELY || getenv('AMBER_EVERY_MINUTE') !== false ? 1 : self::APART) {
            $later = $build->planAt($begun + 60 * $minute, $minutes, $begun);
            self::assertSame(self::lasting($plan), self::lasting($later), "seed {$seed}, {$minute} min later, of ".intdiv($plan->holdsUntil - $begun, 60));
            if ($begun + 60 * $minute < $plan->validUntil) {
                self::assertSame($plan->now()?->step->key, $later->now()?->step->key, "seed {$seed}, {$minute} min later: what to do now");
            }
            $looked++;
        }

        return $looked;
    }

    /** @return list<mixed> */
    private static function lasting(Plan $plan): array
    {
        return [array_keys($plan->left), array_map(static fn ($h): array => [$h->key, $h->untilEpoch], $plan->holds)];
    }

    private function work(Build $build, int $steps): void
    {
        for ($done = 0; $done < $steps; $done += self::FOLLOWED) {
            $this->doNext($build, $build->plan(), min(self::FOLLOWED, $steps - $done));
        }
    }

    /** @return iterable<string, array{int}> */
    public static function builds(): iterable
    {
        for ($from = 1; $from <= self::BUILDS; $from += self::PER_CASE) {
            yield "builds from {$from}" => [$from];
        }
    }
}
