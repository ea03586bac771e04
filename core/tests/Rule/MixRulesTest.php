<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Mixing\Pass;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Rule\Paint\OnePassOneCup;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Tests\Support\TypedBuild;
use PHPUnit\Framework\TestCase;

/** What mixing has to say to a plan: a pass that one cup does not hold, and the last third of a bottle. */
final class MixRulesTest extends TestCase
{
    public function test_a_pass_that_one_cup_does_not_hold_is_said_for_each_paint_and_answered_by_a_second_cup(): void
    {
        self::assertSame([], (new TypedBuild('hull, 300, sea grey'))->says('one-pass-one-cup'));
        $large = new TypedBuild('hull, 1200, sea grey');
        $found = $large->says('one-pass-one-cup');
        self::assertNotSame([], $found);
        $figures = \AmberStep\Core\Material\Family::WaterAcrylic->figures();
        $ml = Pass::ml(1200, 8, $figures->solidsByVolume, 1 / (1 + $figures->thinnerPerPaint->middle()), 0.5);
        self::assertGreaterThan(OnePassOneCup::CUP_ML, $ml);
        $keys = array_column($found, 'key');
        self::assertSame($keys, array_unique($keys));
        foreach ($found as $finding) {
            $other = clone $large;
            $other->fix($finding, 'Have');
            self::assertNotContains($finding->key, array_column($other->says('one-pass-one-cup'), 'key'));
            self::assertStringContainsString('cups of', $other->kit->inserted[0]->title);
        }
    }

    public function test_the_last_third_of_a_bottle_is_worth_a_note_and_a_full_or_empty_one_is_not(): void
    {
        self::assertSame([], $this->notes(17.0));
        self::assertSame(["Last third of {$this->paint()->name}"], array_map(static fn (Finding $f): string => $f->title, $this->notes(4.0)));
        self::assertSame([], $this->notes(0.0), 'an empty one is bought anew');
        self::assertSame([], $this->notes(null), 'nobody looked');
    }

    /** @return list<Finding> */
    private function notes(?float $level): array
    {
        $build = $this->build();
        $paint = Product::fromArray([...$this->paint()->toArray(), 'sizeMl' => 17.0, 'levelMl' => $level]);
        $shelf = new Shelf([$paint, ...array_values(array_filter($build->shelf->products, static fn (Product $p): bool => $p->id !== $paint->id))]);
        $plan = Plan::compile($build->kit, new \AmberStep\Core\Kit\HouseRules, $shelf, [], new \AmberStep\Core\Drying\Room([], $build->now, new \AmberStep\Core\Drying\DailyCycle(20, 20, 0.5, 0.5, $build->kit->zone)), \AmberStep\Core\Timing\Calendar::usual($build->kit->zone), $build->now);

        return array_values(array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === 'bottle-mixed'));
    }

    private function paint(): Product
    {
        $build = $this->build();

        return $build->shelf->find($build->kit->colours[0]->product) ?? throw new \LogicException('the colour has a paint');
    }

    private function build(): TypedBuild
    {
        return new TypedBuild('hull, 60, sea grey');
    }
}
