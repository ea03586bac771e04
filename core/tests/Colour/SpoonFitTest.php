<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Colour;

use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Lab;
use AmberStep\Core\Colour\Ratio;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Colour\SpoonReading;
use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Colour\ToneStep;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Mixing\Blend;
use AmberStep\Core\Mixing\Coverage;
use AmberStep\Core\Mixing\SpoonFit;
use AmberStep\Core\Mixing\Tones;
use AmberStep\Core\Mixing\ToneSet;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use PHPUnit\Framework\TestCase;

/** Spoons read back give the paint they were sprayed with; tones keep apart; four jars are matched as by trying all. */
final class SpoonFitTest extends TestCase
{
    private const GROUNDS = ['#232325', '#F5F5F0'];

    private static function paint(string $name): Product
    {
        return array_values(array_filter(Paints::shelf(new Names)->products, static fn (Product $p): bool => $p->name === $name))[0];
    }

    public function test_a_spoon_gives_back_the_scattering_it_was_sprayed_with(): void
    {
        foreach (['#7C96A3' => 0.8, '#BE1E23' => 0.33, '#F5F5F0' => 1.7] as $hex => $true) {
            $thick = Spectrum::of($hex);
            $readings = array_map(static fn (string $ground): SpoonReading => new SpoonReading(Spectrum::of($ground), KubelkaMunk::film($thick, Spectrum::of($ground), 2 * $true)->lab()), self::GROUNDS);
            [$fitted, $left] = SpoonFit::hiding($thick, 2, $readings);

            self::assertEqualsWithDelta($true, $fitted, 0.002 * $true, $hex);
            self::assertLessThan(0.01, $left);
        }
    }

    public function test_as_predicted_changes_nothing_and_a_darker_spoon_over_black_hides_less(): void
    {
        $grey = self::paint('sea grey');
        $blend = new Blend([[$grey, 1]]);
        $black = Spectrum::of('#232325');
        $as = SpoonReading::beside($black, $blend->after(1, $black)->lab(), 0, 0);
        $darker = SpoonReading::beside($black, $blend->after(1, $black)->lab(), -1, 0);

        self::assertEqualsWithDelta(Coverage::scattering($grey), SpoonFit::hiding($blend->thick, 1, [$as])[0], 0.002);
        self::assertLessThan(0.75, SpoonFit::hiding($blend->thick, 1, [$darker])[0]);
        $fitted = $grey->with(['optics' => ['scatters' => SpoonFit::hiding($blend->thick, 1, [$darker])[0], 'spoon' => '2026-03-02T19:00:00Z']]);
        $off = static fn (Blend $b): float => $b->after(1, $black)->lab()->deltaE($darker->seen);
        self::assertLessThan(0.7 * $off($blend), $off(new Blend([[$fitted, 1]])), 'it is predicted nearer to what was seen');
        self::assertTrue((new Blend([[$fitted, 1]]))->isFitted());
        self::assertFalse($blend->isFitted());
        self::assertSame([2.0, 3.0], [SpoonReading::beside($black, new Lab(50, 0.5, 0), 0, 1)->seen->a, SpoonReading::beside($black, new Lab(50, 0.5, 0), 0, 1)->seen->b], 'warmer is towards orange');
    }

    public function test_a_spoon_of_a_mix_gives_back_how_strongly_a_paint_tints(): void
    {
        $paints = [[self::paint('ground white'), 4.0], [self::paint('slate green'), 1.0]];
        $strong = $paints;
        $strong[1][0] = $strong[1][0]->with(['optics' => ['scatters' => 0.8, 'strength' => 1.9]]);
        $seen = KubelkaMunk::film((new Blend($strong))->thick, Spectrum::of('#9B9B9B'), 2 * (new Blend($paints))->scattering)->lab();
        [$strength, $left] = SpoonFit::strength($paints, 1, 2, [new SpoonReading(Spectrum::of('#9B9B9B'), $seen)]);

        $reading = new SpoonReading(Spectrum::of('#9B9B9B'), $seen);
        self::assertSame('slate green', SpoonFit::strongest($paints, null, 2, [$reading])[0]->name ?? null, 'the one that explains it');
        self::assertSame('ground white', SpoonFit::strongest($paints, $paints[0][0]->id, 2, [$reading])[0]->name ?? null, 'the one asked for');
        self::assertNull(SpoonFit::strongest($paints, '01K00000000000000000000999', 2, [$reading]));
        self::assertEqualsWithDelta(1.9, $strength, 0.01);
        self::assertLessThan(0.02, $left);
        self::assertLessThan((new Blend($paints))->thick->lab()->l, (new Blend($strong))->thick->lab()->l, 'more of the green shows');
    }

    public function test_a_photograph_is_set_by_its_grey_card(): void
    {
        $true = Srgb::fromHex('#7C96A3');
        $card = Srgb::fromHex('#767676');
        // A warm and dim lamp: every channel by its own factor.
        $lamp = static fn (Srgb $c): Srgb => new Srgb(0.9 * $c->r, 0.7 * $c->g, 0.4 * $c->b);
        $reading = SpoonReading::photographed(Spectrum::of('#232325'), $lamp($true), $lamp($card));

        self::assertLessThan(0.8, $reading->seen->deltaE($true->lab()));
        self::assertGreaterThan(8, SpoonReading::photographed(Spectrum::of('#232325'), $lamp($true), $card)->seen->deltaE($true->lab()), 'without the card it would be the lamp\'s colour');
    }

    public function test_a_set_of_tones_keeps_its_distances_and_adds_up(): void
    {
        $shelf = Paints::shelf(new Names);
        $set = ToneSet::of(self::paint('sea grey'), $shelf, ToneStep::cases());
        foreach (array_slice($set->tones, 1) as $i => [$word, $paints, $look, $differs]) {
            [$least, $most] = ToneStep::cases()[$i]->range();
            self::assertTrue($differs >= $least && $differs <= $most, $word);
            self::assertSame(ToneStep::cases()[$i]->isLighter(), $look->lab()->l > $set->tones[0][2]->lab()->l, $word);
            self::assertEqualsWithDelta($look->lab()->deltaE(KubelkaMunk::mix(array_map(static fn (array $p): array => Tones::part($p[0], $p[1]), $paints))->lab()), 0, 1e-9);
        }
        self::assertEqualsWithDelta(2.5 * count($set->tones), array_sum(array_column($set->totals(2.5), 1)), 0.001);
        self::assertSame([[1, 2, 0.0]], ToneSet::of(self::paint('sea grey'), $shelf, [ToneStep::Darker, ToneStep::Darker])->alike);
        self::assertSame(['clearly lighter'], ToneSet::of(self::paint('ground white'), $shelf, [ToneStep::ClearlyLighter])->missing);
    }

    public function test_four_jars_are_matched_as_by_trying_every_ratio(): void
    {
        $paints = array_map(static fn (string $hex): array => [Spectrum::of($hex), 1.0, 0.8], ['#7C96A3', '#F5F5F0', '#BE1E23', '#F0C41E']);
        foreach ([[3, 1, 0, 2], [7, 2, 1, 9], [0, 5, 4, 0], [10, 1, 1, 3]] as $parts) {
            $wanted = KubelkaMunk::mix(array_map(static fn (array $p, int $n): array => [$p[0], $n, 1, 0.8], $paints, $parts))->lab();
            $found = Ratio::matching($wanted, $paints);

            self::assertEqualsWithDelta(0, $found[0]->differs, 1e-6, implode(':', $parts));
            self::assertSame($parts, $found[0]->parts);
        }
    }
}
