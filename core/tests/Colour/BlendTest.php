<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Colour;

use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Opacity;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Mixing\Blend;
use AmberStep\Core\Mixing\Coverage;
use PHPUnit\Framework\TestCase;

/** Mixed paints: each by itself is itself, the order does not matter, and they cover as the handbook's table says. */
final class BlendTest extends TestCase
{
    public function test_one_paint_is_itself_and_covers_as_alone(): void
    {
        foreach ([['#7C96A3', Opacity::Good], ['#F0C41E', Opacity::Weak], ['#F5F5F0', Opacity::Opaque]] as [$hex, $opacity]) {
            $paint = self::paint($hex, $opacity);
            $blend = new Blend([[$paint, 3]]);
            self::assertSame($hex, $blend->thick->srgb()->hex());
            foreach (['#232325', '#9B9B9B', '#F5F5F0', '#DCA5A0'] as $ground) {
                self::assertSame((new Coverage($paint))->coats(Spectrum::of($ground)), $blend->coats(Spectrum::of($ground)), "{$hex} over {$ground}");
            }
        }
    }

    public function test_twice_the_same_is_the_same_and_the_order_does_not_matter(): void
    {
        [$blue, $yellow] = [self::paint('#0078BE'), self::paint('#FFD700')];
        $mix = new Blend([[$blue, 1], [$yellow, 2]]);

        self::assertSame($mix->thick->srgb()->hex(), (new Blend([[$yellow, 4], [$blue, 2]]))->thick->srgb()->hex());
        self::assertSame('#0078BE', (new Blend([[$blue, 1], [$blue, 5]]))->thick->srgb()->hex());
        self::assertEqualsWithDelta($mix->scattering, (new Blend([[$blue, 0.5], [$yellow, 1]]))->scattering, 1e-12);
    }

    public function test_a_thick_film_hides_any_ground_and_none_shows_it(): void
    {
        $mix = new Blend([[self::paint('#BE1E23', Opacity::Weak), 1], [self::paint('#F5F5F0'), 1]]);
        foreach (['#000000', '#FFFFFF', '#00FF00'] as $ground) {
            self::assertLessThan(0.01, $mix->differs(200, Spectrum::of($ground)));
            self::assertSame($ground, $mix->after(0, Spectrum::of($ground))->srgb()->hex());
        }
        self::assertGreaterThan($mix->differs(2, Spectrum::of('#000000')), $mix->differs(1, Spectrum::of('#000000')));
    }

    public function test_what_is_not_calculated_says_why(): void
    {
        $silver = self::paint('#A9ABAD', role: Role::Metallic);
        self::assertNull((new Blend([[$silver, 1]]))->refuses());
        self::assertStringContainsString('never mixed by calculation', (string) (new Blend([[$silver, 1], [self::paint('#232325'), 1]]))->refuses());
        self::assertStringContainsString('never hides', (string) (new Blend([[self::paint('#AA5500', role: Role::TintedClear), 1]]))->refuses());
    }

    public function test_a_rougher_surface_looks_lighter(): void
    {
        $dark = Spectrum::of('#232325');
        $light = array_map(static fn (?Sheen $s): float => Blend::seen($dark, $s)->lab()->l, [Sheen::Matt, Sheen::Satin, Sheen::Gloss, null]);

        self::assertGreaterThan($light[1], $light[0]);
        self::assertGreaterThan($light[2], $light[1]);
        self::assertSame($light[2], $light[3]);
    }

    private static function paint(string $hex, Opacity $opacity = Opacity::Good, Role $role = Role::Colour): Product
    {
        return new Product('01T00000000000000000000001', $hex, '', Family::WaterAcrylic, $role, $hex, opacity: $opacity);
    }
}
