<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Colour;

use AmberStep\Core\Colour\DeltaE;
use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Lab;
use AmberStep\Core\Colour\Recovery;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Opacity;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Mixing\Coverage;
use AmberStep\Core\Mixing\Tones;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The colour core against the handbook's check values, the published pairs, and what must hold of any paint. */
final class ColourTest extends TestCase
{
    private const GROUNDS = ['#232325', '#9B9B9B', '#F5F5F0', '#DCA5A0'];

    /** The 34 pairs of Sharma, Wu and Dalal 2005. */
    #[DataProvider('pairs')]
    public function test_the_published_pairs_hold(float $l1, float $a1, float $b1, float $l2, float $a2, float $b2, float $expected): void
    {
        $difference = DeltaE::between(new Lab($l1, $a1, $b1), new Lab($l2, $a2, $b2));

        self::assertEqualsWithDelta($expected, $difference, 1e-4);
        self::assertEqualsWithDelta($difference, DeltaE::between(new Lab($l2, $a2, $b2), new Lab($l1, $a1, $b1)), 1e-9, 'either way round');
    }

    /** @return iterable<string, list<float>> */
    public static function pairs(): iterable
    {
        foreach (array_slice(file(__DIR__.'/ciede2000-pairs.csv', FILE_IGNORE_NEW_LINES) ?: [], 1) as $i => $line) {
            yield 'pair '.($i + 1) => array_map(floatval(...), explode(',', $line));
        }
    }

    public function test_recovery_shows_as_the_colour_it_came_from(): void
    {
        for ($r = 1; $r <= 9; $r++) {
            for ($g = 1; $g <= 9; $g++) {
                for ($b = 1; $b <= 9; $b++) {
                    $wanted = new Srgb($r / 10, $g / 10, $b / 10);
                    $spectrum = Recovery::of($wanted);
                    $seen = $spectrum->srgb();
                    self::assertLessThan(1e-6, max(abs($seen->r - $wanted->r), abs($seen->g - $wanted->g), abs($seen->b - $wanted->b)), "{$r} {$g} {$b}");
                    self::assertGreaterThan(0, min($spectrum->r));
                    self::assertLessThan(1, max($spectrum->r));
                }
            }
        }
    }

    public function test_every_swatch_of_the_screen_comes_back_as_itself_also_at_its_edges_and_packed(): void
    {
        foreach (['#000000', '#FFFFFF', '#FF0000', '#00FF00', '#0000FF', '#FFFF00', '#00FFFF', '#FF00FF', '#0078BE', '#FFD700', '#1E4696', '#7C96A3', '#010203', '#FEFDFC'] as $hex) {
            $spectrum = Spectrum::of($hex);
            $off = array_map(static fn (string $a, string $b): int => abs(hexdec($a) - hexdec($b)), str_split(substr($hex, 1), 2), str_split(substr($spectrum->srgb()->hex(), 1), 2));
            self::assertLessThanOrEqual(1, max($off), "{$hex} came back as {$spectrum->srgb()->hex()}");
            self::assertSame($spectrum->srgb()->hex(), Spectrum::unpacked($spectrum->packed())?->srgb()->hex());
        }
        self::assertNull(Spectrum::unpacked('not a spectrum'));
        self::assertNull(Spectrum::unpacked(str_repeat('0', 143)));
    }

    public function test_one_band_films_are_the_handbooks(): void
    {
        $ks = KubelkaMunk::ks(0.30);
        foreach ([[0.05, [0.2621, 0.2939, 0.2990, 0.2998]], [0.80, [0.3940, 0.3156, 0.3025, 0.3004]]] as [$ground, $after]) {
            foreach ($after as $i => $expected) {
                self::assertEqualsWithDelta($expected, KubelkaMunk::over($ks, $ground, 0.6 * ($i + 1)), 5e-5);
            }
        }
        self::assertEqualsWithDelta(0.2144, KubelkaMunk::mix([[Spectrum::flat(0.60), 2, 1, 1], [Spectrum::flat(0.10), 1, 1, 1]])->r[0], 5e-5);
    }

    public function test_coat_on_coat_is_the_same_as_one_thick_film(): void
    {
        $random = new Randomizer(new Mt19937(6));
        for ($i = 0; $i < 200; $i++) {
            [$r, $g, $a, $b] = [$random->getInt(1, 98) / 100, $random->getInt(0, 100) / 100, $random->getInt(1, 300) / 100, $random->getInt(1, 300) / 100];
            $ks = KubelkaMunk::ks($r);
            self::assertEqualsWithDelta(KubelkaMunk::over($ks, $g, $a + $b), KubelkaMunk::over($ks, KubelkaMunk::over($ks, $g, $a), $b), 1e-9);
            self::assertEqualsWithDelta(max(0.003, min(0.985, $r)), KubelkaMunk::over($ks, $g, 400), 2e-3, 'a thick film hides any ground');
        }
    }

    public function test_mixes_are_the_handbooks(): void
    {
        foreach ([['#0078BE', 1, '#FFD700', 1, 54.2, 153], ['#1E4696', 1, '#F0C41E', 3, 46.3, 146]] as [$a, $n, $b, $m, $l, $hue]) {
            $mix = KubelkaMunk::mix([[Spectrum::of($a), $n, 1, 1], [Spectrum::of($b), $m, 1, 1]])->lab();
            self::assertEqualsWithDelta($l, $mix->l, 2);
            self::assertEqualsWithDelta($hue, $mix->hue(), 2);
        }
        self::assertEqualsWithDelta(20.5, KubelkaMunk::mix([[Spectrum::of('#FFFFFF'), 10, 1, 1], [Spectrum::of('#000000'), 1, 1, 1]])->lab()->l, 2);
    }

    public function test_a_paint_mixed_with_itself_is_itself_and_order_does_not_matter(): void
    {
        $random = new Randomizer(new Mt19937(7));
        for ($i = 0; $i < 60; $i++) {
            $hex = static fn (): string => sprintf('#%06X', $random->getInt(0, 0xFFFFFF));
            [$a, $b] = [Spectrum::of($hex()), Spectrum::of($hex())];
            $kept = $a->map(static fn (float $r): float => max(Spectrum::LEAST, min(Spectrum::MOST, $r)));
            $same = KubelkaMunk::mix([[$a, 3, 1, 0.8], [$a, 1, 1, 0.8]]);
            self::assertLessThan(1e-9, max(array_map(static fn (float $x, float $y): float => abs($x - $y), $same->r, $kept->r)));
            $one = KubelkaMunk::mix([[$a, 2, 1, 0.8], [$b, 5, 1, 1.4]]);
            $other = KubelkaMunk::mix([[$b, 10, 1, 1.4], [$a, 4, 1, 0.8]]);
            self::assertLessThan(1e-12, max(array_map(static fn (float $x, float $y): float => abs($x - $y), $one->r, $other->r)), 'nor does the amount');
        }
    }

    /** @param  list<int>  $coats  light coats over black, grey, white, pink */
    #[DataProvider('hiding')]
    public function test_coats_to_hide_are_the_handbooks(string $swatch, Opacity $opacity, array $coats): void
    {
        $coverage = new Coverage(self::paint($swatch, $opacity));

        self::assertSame($coats, array_map(static fn (string $ground): ?int => $coverage->coats(Spectrum::of($ground)), self::GROUNDS));
    }

    /** @return iterable<string, array{string, Opacity, list<int>}> */
    public static function hiding(): iterable
    {
        yield 'white' => ['#F5F5F0', Opacity::Good, [6, 6, 1, 6]];
        yield 'cream' => ['#EFE3C0', Opacity::Fair, [4, 4, 3, 3]];
        yield 'yellow' => ['#F0C41E', Opacity::Weak, [8, 7, 6, 4]];
        yield 'red' => ['#BE1E23', Opacity::Weak, [4, 3, 4, 2]];
        yield 'sea grey' => ['#7C96A3', Opacity::Good, [2, 1, 2, 2]];
        yield 'sand' => ['#B79F78', Opacity::Good, [2, 2, 3, 2]];
    }

    public function test_a_closer_show_wants_more_coats_and_weathering_fewer(): void
    {
        $coverage = new Coverage(self::paint('#F0C41E', Opacity::Weak));
        $grey = Spectrum::of('#9B9B9B');

        self::assertGreaterThan($coverage->coats($grey), $coverage->coats($grey, 1.0));
        self::assertLessThan($coverage->coats($grey), $coverage->coats($grey, 3.0));
    }

    public function test_a_metallic_hides_after_two_and_a_tinted_clear_never(): void
    {
        $tint = new Coverage(new Product('x', 'glass', '', Family::WaterAcrylic, Role::TintedClear, '#5E9A72'));

        self::assertSame(2, (new Coverage(new Product('x', 'bronze', '', Family::Lacquer, Role::Metallic, '#8A6A45')))->coats(Spectrum::of('#000000')));
        self::assertNull($tint->coats(Spectrum::of('#9B9B9B')));
        // Three coats over white of 0.85 are its swatch; each further coat darkens.
        self::assertLessThan(3, abs($tint->after(3, Spectrum::flat(0.85))->lab()->l - Spectrum::of('#5E9A72')->lab()->l));
        self::assertGreaterThan($tint->after(4, Spectrum::flat(0.85))->lab()->l, $tint->after(2, Spectrum::flat(0.85))->lab()->l);
    }

    public function test_tinted_clear_in_one_band_is_the_handbooks(): void
    {
        // Swatch 0.30: a = 0.1736; two coats over 0.55 are 0.2747.
        $a = -log(0.30 / 0.85) / 6;
        self::assertEqualsWithDelta(0.1736, $a, 5e-5);
        self::assertEqualsWithDelta(0.2747, 0.55 * exp(-2 * $a * 2), 5e-5);
        $linear = 0.30;
        $grey = (new Srgb($linear, $linear, $linear))->hex();
        $film = (new Coverage(new Product('x', 'smoke', '', Family::WaterAcrylic, Role::TintedClear, $grey)))->after(2, Spectrum::flat(0.55));
        self::assertEqualsWithDelta(0.2747, $film->r[18], 2e-3);
    }

    public function test_a_mist_is_half_a_coat_and_no_film_is_the_ground(): void
    {
        $coverage = new Coverage(self::paint('#7C96A3', Opacity::Good));
        $black = Spectrum::of('#232325');

        self::assertSame($black, $coverage->after(0, $black));
        self::assertGreaterThan($coverage->differs(1, $black), $coverage->differs(0.5, $black));
    }

    public function test_tones_are_just_different_and_the_nearest_whole_parts(): void
    {
        [$sand, $white, $grey] = [self::paint('#B79F78', Opacity::Good), self::paint('#F5F5F0', Opacity::Fair), self::paint('#5E5F60', Opacity::Fair)];
        foreach ([$white, $grey] as $other) {
            [$parts, $difference] = Tones::different($sand, $other) ?? [0, 0.0];
            self::assertGreaterThan(1, $parts);
            self::assertGreaterThanOrEqual(1.5, $difference);
            self::assertLessThanOrEqual(3.0, $difference);
            foreach ([$parts - 1, $parts + 1] as $near) {
                $mix = KubelkaMunk::mix([[$sand->spectrum(), $near, 1, 0.8], [$other->spectrum(), 1, 1, Coverage::scattering($other)]])->lab();
                self::assertGreaterThanOrEqual(abs($difference - 2.25), abs($mix->deltaE(KubelkaMunk::mix([[$sand->spectrum(), 1, 1, 1]])->lab()) - 2.25) + 1e-12);
            }
        }
        self::assertNull(Tones::different($sand, $sand), 'with itself it makes none');
    }

    public function test_a_lighter_and_a_darker_tone_are_found_on_the_shelf(): void
    {
        $shelf = Paints::shelf(new Names);
        $grey = array_values(array_filter($shelf->products, static fn (Product $p): bool => $p->name === 'sea grey'))[0];
        [$lighter, $up] = Tones::towards($grey, $shelf, true) ?? self::fail('none is lighter');
        [$darker, $down] = Tones::towards($grey, $shelf, false) ?? self::fail('none is darker');

        self::assertSame([Family::WaterAcrylic, Family::WaterAcrylic], [$lighter->family, $darker->family]);
        $l = static fn (Product $other, int $parts): float => KubelkaMunk::mix([[$grey->spectrum(), $parts, 1, Coverage::scattering($grey)], [$other->spectrum(), 1, 1, Coverage::scattering($other)]])->lab()->l;
        self::assertGreaterThan($grey->spectrum()->lab()->l, $l($lighter, $up));
        self::assertLessThan($grey->spectrum()->lab()->l, $l($darker, $down));
    }

    public function test_a_product_keeps_its_spectrum_until_its_swatch_changes(): void
    {
        $paint = self::paint('#7C96A3', Opacity::Good)->withSpectrum();
        self::assertSame('#7C96A3', Spectrum::unpacked((string) $paint->spectrum)?->srgb()->hex());
        self::assertSame($paint, $paint->withSpectrum(), 'recovered once');

        $repainted = Product::fromArray([...$paint->toArray(), 'swatch' => '#56695A'])->withSpectrum();
        self::assertSame('#56695A', $repainted->spectrum()->srgb()->hex());
        self::assertNull(Product::fromArray([...$paint->toArray(), 'swatch' => null])->withSpectrum()->spectrum);
    }

    private static function paint(string $swatch, Opacity $opacity): Product
    {
        return new Product('01P00000000000000000000001', 'a paint', '', Family::WaterAcrylic, Role::Colour, $swatch, null, $opacity);
    }
}
