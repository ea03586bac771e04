<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Layering\Hiding;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Mixing\Coverage;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use AmberStep\Core\Tests\Support\TypedBuild;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\TestCase;

/** Coats are planned by what hides the ground: a mist and lights. */
final class HidingTest extends TestCase
{
    public function test_a_mist_and_lights_hide_it_and_one_less_does_not(): void
    {
        $hiding = new Hiding(new HouseRules);
        foreach ($this->colours() as $paint) {
            foreach (['#232325', '#9B9B9B', '#F5F5F0', '#DCA5A0'] as $ground) {
                $needed = $hiding->needed($paint, $ground);
                self::assertNotNull($needed, "{$paint->name} over {$ground}");
                $coverage = new Coverage($paint);
                self::assertLessThan(1.5, $coverage->differs($needed - 0.5, Spectrum::of($ground)));
                self::assertTrue($needed === 2 || $coverage->differs($needed - 1.5, Spectrum::of($ground)) >= 1.5, "{$paint->name} over {$ground}: {$needed}");
                self::assertSame(min(Hiding::MOST, $needed), $hiding->coats($paint, $ground));
            }
        }
    }

    public function test_never_fewer_than_two_and_metallics_as_ever(): void
    {
        $hiding = new Hiding(new HouseRules);
        foreach ($this->colours() as $paint) {
            self::assertGreaterThanOrEqual(2, $hiding->coats($paint, $paint->swatch), 'a mist and a light, even over itself');
        }
        $bronze = array_values(array_filter(Paints::shelf(new Names)->products, static fn (Product $p): bool => $p->isMetallic()))[0];
        self::assertSame(2, $hiding->coats($bronze, '#000000'));
    }

    public function test_the_plan_lays_so_many_over_what_is_there(): void
    {
        $coats = static function (string $line): int {
            $left = (new TypedBuild($line))->plan()->left;

            return count(array_filter($left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Colour));
        };

        self::assertSame(2, $coats('hull, 60, sea grey'));
        self::assertSame(8, $coats('hull, 60, band yellow'));
        self::assertSame(6, $coats('hull, 60, band yellow, on ground white'));
    }

    /** @return list<Product> */
    private function colours(): array
    {
        return array_values(array_filter(Paints::shelf(new Names)->products, static fn (Product $p): bool => $p->role === \AmberStep\Core\Material\Role::Colour));
    }
}
