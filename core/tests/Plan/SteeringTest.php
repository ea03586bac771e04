<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\PlannedStep;
use AmberStep\Core\Rule\Finding;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\RandomBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the user fixes about time, order and coats holds in whatever build, or the plan says why it cannot. */
final class SteeringTest extends TestCase
{
    #[DataProvider('seeds')]
    public function test_a_step_not_before_a_time_waits_for_it_and_nothing_is_lost(int $seed): void
    {
        [$random, $build, $plan] = $this->build($seed);
        $step = $random->one(array_values($plan->left));
        $at = $build->now + 86400 * (2 + $seed % 9);
        $build->edit([Edit::add('notBefore', ['id' => $build->id('a time'), 'step' => $step->step->key, 'at' => gmdate('Y-m-d\TH:i:s\Z', $at)])]);
        $after = $build->plan();

        self::assertEqualsCanonicalizing(self::keys($plan), self::keys($after), 'the same work is to be done');
        self::assertGreaterThanOrEqual($at, self::start($after, $step->step->key));
    }

    #[DataProvider('seeds')]
    public function test_this_before_that_is_so_or_is_said_to_be_impossible(int $seed): void
    {
        [$random, $build, $plan] = $this->build($seed);
        [$earlier, $later] = self::twoByTime($random, $plan);
        $build->edit([Edit::add('orders', ['id' => $build->id('an order'), 'first' => $later->step->key, 'then' => $earlier->step->key])]);
        $after = $build->plan();

        if (count($after->stops()) > count($plan->stops())) {
            self::assertContains('This order bites its own tail', array_map(static fn (Finding $f): string => $f->title, $after->stops()));

            return;
        }
        self::assertLessThanOrEqual(self::start($after, $earlier->step->key), self::start($after, $later->step->key));
    }

    #[DataProvider('seeds')]
    public function test_an_order_the_plan_has_already_changes_nothing(int $seed): void
    {
        [$random, $build, $plan] = $this->build($seed);
        [$earlier, $later] = self::twoByTime($random, $plan);
        $build->edit([Edit::add('orders', ['id' => $build->id('an order'), 'first' => $earlier->step->key, 'then' => $later->step->key])]);
        $after = $build->plan();

        self::assertEqualsCanonicalizing(self::keys($plan), self::keys($after));
        self::assertSame(count($plan->stops()), count($after->stops()), 'what is so already can be asked for');
    }

    #[DataProvider('seeds')]
    public function test_pinned_coats_are_the_coats_and_unpinned_it_is_as_before(int $seed): void
    {
        [$random, $build, $plan] = $this->build($seed);
        $before = $build->kit;
        $open = array_values(array_filter($plan->left, static fn (PlannedStep $p): bool => $p->step->operation->leavesLayer() && $p->step->product !== null && $p->step->n === 1 && $p->step->coatKind !== null));
        if ($open === []) {
            self::assertSame([], array_filter($plan->left, static fn (PlannedStep $p): bool => $p->step->operation->sprays() && $p->step->n === 1), 'nothing is left to spray from its first coat on');

            return;
        }
        $step = $random->one($open)->step;
        $coats = 3 + $seed % 3;
        $build->edit([Edit::add('pins', ['id' => $build->id('a pin'), 'operation' => $step->operation->value, 'purpose' => $step->purpose, 'coats' => $coats])]);
        $of = array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation === $step->operation && $p->step->purpose === $step->purpose && $p->step->pieceId === $step->pieceId && $p->step->targets === $step->targets);

        self::assertSame($coats, max(array_map(static fn (PlannedStep $p): int => $p->step->of, $of)));
        self::assertSame($coats, count(array_unique(array_map(static fn (PlannedStep $p): int => $p->step->n, $of))));
        $build->edit([Edit::remove('pins', $build->id('a pin'))]);
        self::assertEquals($before->toArray(), $build->kit->toArray());
        self::assertSame(self::keys($plan), self::keys($build->plan()));
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(601, 612) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    /** @return array{RandomBuild, Build, Plan} */
    private function build(int $seed): array
    {
        $random = new RandomBuild($seed);
        $build = new Build($random->said());
        $plan = $build->plan();
        self::assertGreaterThan(1, count($plan->left), "seed {$seed} has nothing left to do");

        return [$random, $build, $plan];
    }

    /** @return array{PlannedStep, PlannedStep} two steps of the plan, the earlier first */
    private static function twoByTime(RandomBuild $random, Plan $plan): array
    {
        $two = array_slice($random->shuffled($plan->byTime()), 0, 2);
        usort($two, static fn (PlannedStep $a, PlannedStep $b): int => [$a->startEpoch, $a->place] <=> [$b->startEpoch, $b->place]);

        return [$two[0], $two[1]];
    }

    /** @return list<string> */
    private static function keys(Plan $plan): array
    {
        return array_map(static fn (PlannedStep $p): string => $p->step->key, array_values($plan->left));
    }

    private static function start(Plan $plan, string $key): int
    {
        return array_values(array_filter($plan->left, static fn (PlannedStep $p): bool => $p->step->key === $key))[0]->startEpoch;
    }
}
