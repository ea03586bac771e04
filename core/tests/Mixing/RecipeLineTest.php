<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Mixing;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Material\Base;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Stuff;
use AmberStep\Core\Mixing\CupCheck;
use AmberStep\Core\Mixing\Jar;
use AmberStep\Core\Mixing\OwnMix;
use AmberStep\Core\Mixing\Recipe;
use AmberStep\Core\Mixing\RecipeLine;
use AmberStep\Core\Mixing\Remade;
use AmberStep\Core\Mixing\Saving;
use AmberStep\Core\Spray\Task;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Recipes typed and kept, what a cup bears, jars and the gun beside them. */
final class RecipeLineTest extends TestCase
{
    private static function shelf(): Shelf
    {
        return Paints::shelf(new Names, [], ['white primer' => ['polymer-primer', 'primer', '#F0F0EC', []]]);
    }

    private static function read(string $text): KeptRecipe
    {
        return (new RecipeLine(self::shelf()))->read($text);
    }

    private static function paint(string $name): Product
    {
        return array_values(array_filter(self::shelf()->products, static fn (Product $p): bool => $p->name === $name))[0];
    }

    public function test_a_line_is_read_with_the_names_of_the_shelf(): void
    {
        $recipe = self::read('3 sea grey + 1,5 Ground White + 2 thinner + 5 % retarder + 10 % of the paint matting agent');

        self::assertSame([[3.0, 'parts'], [1.5, 'parts'], [2.0, 'parts'], [5.0, 'percent-of-mix'], [10.0, 'percent-of-paint']], array_map(static fn (Part $p): array => [$p->amount, $p->base->value], $recipe->parts));
        self::assertSame([self::paint('sea grey')->id, self::paint('ground white')->id, null, null, null], $recipe->products);
        self::assertSame([Stuff::Paint, Stuff::Paint, Stuff::Water, Stuff::Additive, Stuff::Additive], array_column($recipe->parts, 'stuff'));
        self::assertTrue($recipe->isVerified());
        self::assertSame('3 sea grey : 1.5 ground white : 2 thinner, retarder 5 % of the paint and thinner together, matting agent 10 % of the paint', $recipe->says());
        self::assertSame(Stuff::LacquerThinner, self::read('1 lacquer red + 2 thinner')->parts[1]->stuff, 'thinner is the family\'s own');
    }

    public function test_what_can_be_read_two_ways_is_asked_and_answered(): void
    {
        $recipe = self::read('1 white + 75 % thinner');
        self::assertSame(['"1 white" can be read two ways: white primer, or ground white?', '"75 % thinner" can be read two ways: 75 of 100 in the cup, or 75 to 100 of the paint?'], array_map(static fn ($a): string => $a->question(), $recipe->asks));
        $answered = $recipe->answered(0, 1)->answered(0, 0);
        self::assertTrue($answered->isVerified());
        self::assertSame([self::paint('ground white')->id, 'ground white', 75.0, Base::PercentOfWhole], [$answered->products[0], $answered->parts[0]->name, $answered->parts[1]->amount, $answered->parts[1]->base]);
        self::assertEqualsWithDelta(0.75, Recipe::kept($answered)->total(1)->ml[1], 1e-9, '75 of 100 in the cup');
        self::assertTrue(self::read('1 ground white + 50 % of the paint thinner')->isVerified(), 'it says of what');
        $this->expectException(BadDocument::class);
        $answered->answered(0, 0);
    }

    public function test_thinner_in_per_cent_is_of_the_whole_and_hardener_of_the_thinned_mix(): void
    {
        $ml = static fn (string $text, float $total): array => array_map(static fn (float $x): float => round($x, 3), Recipe::kept(self::read($text))->total($total)->ml);

        self::assertSame([3.2, 4.8], $ml('1 sea grey + 60 % thinner', 8));
        self::assertSame([2.0, 6.0], $ml('1 sea grey + 75 % thinner', 8));
        $ask = static fn (string $text): array => array_map(static fn ($r): string => $r->words, self::read($text)->asks[0]->readings);
        self::assertSame(['10 to 100 of the thinned mix, as usual', '10 to 100 of the paint', '10 of 100 in the cup'], $ask('2 enamel brown + 1 white spirit + 10 % hardener'));
        self::assertSame(['75 of 100 in the cup', '75 to 100 of the paint', 'one part of 75 % strength'], $ask('1 alcohol sand + 75 % alcohol'));
        // 4.0 ml of paint and thinner and 10 % make 0.4 ml.
        self::assertSame([2.0, 2.0, 0.4], $ml('1 sea grey + 1 thinner + 10 % retarder', 4.4));
    }

    public function test_of_the_whole_and_of_the_mix_together_come_out_as_they_are_stated(): void
    {
        // A second way to the same: 60 % of all is thinner, and 10 % of paint and thinner is retarder.
        $ml = Recipe::kept(self::read('1 sea grey + 60 % thinner + 10 % of the mix retarder'))->total(10)->ml;
        self::assertEqualsWithDelta(6.0, $ml[1], 1e-9);
        self::assertEqualsWithDelta(0.1 * ($ml[0] + $ml[1]), $ml[2], 1e-9);
        self::assertEqualsWithDelta(10.0, array_sum($ml), 1e-9);
    }

    public function test_what_is_typed_in_drops_stays_drops(): void
    {
        $batch = Recipe::kept(self::read('10 drops sea grey + 10 drops water'));
        $ten = $batch->component(0, 10 * $batch->parts[0]->mlPerDrop());

        self::assertEqualsWithDelta([10.0, 10.0], $ten->drops(), 1e-9);
        self::assertEqualsWithDelta([0.35, 0.5], $ten->ml, 1e-9, 'a drop of water is larger than one of paint');
    }

    public function test_the_sum_says_its_ratio_and_each_share_both_ways(): void
    {
        $recipe = new Recipe([new Part('paint', Stuff::Paint, 5), new Part('thinner', Stuff::WhiteSpirit, 5), new Part('hardener', Stuff::Hardener, 5, Base::ToMix)]);

        self::assertSame([5, 5, 2], $recipe->wholeRatio());
        self::assertEqualsWithDelta([7.5, 7.5, 3.0], $recipe->total(18)->ml, 1e-9);
        [$ofAll, $ofThinned] = $recipe->sharesBothWays()[2];
        self::assertEqualsWithDelta([1 / 6, 0.2], [$ofAll, $ofThinned], 1e-9);
        self::assertSame('5 : 5 : 2; thinner 41.7 % of the whole, hardener 16.7 % of the whole, 20 % of the thinned mix', $recipe->inWords());
        self::assertNull($recipe->sharesBothWays()[0][1], 'paint is what the rest is added to');
        self::assertNull((new Recipe([new Part('a', Stuff::Paint, 1), new Part('b', Stuff::Paint, 150)]))->wholeRatio());
    }

    public function test_two_paints_of_one_name_are_asked_about(): void
    {
        $twin = self::paint('sea grey')->with(['id' => '01TW1N00000000000000000000', 'range' => 'Garnock', 'family' => 'lacquer']);
        $recipe = (new RecipeLine(new Shelf([...self::shelf()->products, $twin])))->read('1 sea grey + 1 ground white');

        self::assertSame(['sea grey of , water acrylic', 'sea grey of Garnock, lacquer'], array_map(static fn ($r): string => $r->words, $recipe->asks[0]->readings));
    }

    public function test_varnish_and_primer_are_kept_too_and_enamel_with_hardener_is_hardened(): void
    {
        $keep = static fn (string $text): Product => OwnMix::of(self::read($text), '01M1X000000000000000000000', 'my mix', self::shelf(), null);

        self::assertSame(['varnish', 'gloss', null], [$keep('1 gloss varnish + 1 thinner')->role->value, $keep('1 gloss varnish + 1 thinner')->sheen?->value, $keep('1 gloss varnish + 1 thinner')->swatch]);
        self::assertSame('primer', $keep('2 lacquer primer + 1 thinner')->role->value);
        self::assertSame([Family::HardenedEnamel, Family::Enamel], [$keep('2 enamel brown + 1 white spirit + 10 % of the mix hardener')->family, $keep('2 enamel brown + 1 white spirit')->family]);
        $this->expectExceptionMessage('do not go into one cup');
        $keep('1 sea grey + 1 lacquer red');
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrongs(): iterable
    {
        yield 'nothing' => ['  ', 'is empty'];
        yield 'no amount' => ['sea grey', 'is not read'];
        yield 'zero' => ['0 sea grey', 'is too little'];
        yield 'a million' => ['1000000 sea grey', 'is too much'];
        yield 'negative' => ['-1 sea grey', 'is not read'];
        yield 'two readings of a number' => ['1,500 sea grey', 'can be read two ways'];
        yield 'unknown' => ['2 pints foam', 'names nothing on the shelf'];
        yield 'more than all' => ['1 sea grey + 120 % retarder', 'is too much'];
        yield 'no paint' => ['5 % retarder', 'has no paint'];
        yield 'too many' => [implode('+', array_fill(0, 9, '1 sea grey')), 'more than 8'];
    }

    #[DataProvider('wrongs')]
    public function test_nonsense_is_answered_in_one_sentence(string $text, string $wrong): void
    {
        try {
            self::read($text);
            self::fail('it is read');
        } catch (BadDocument $e) {
            self::assertStringContainsString($wrong, $e->problems[0]->wrong);
            self::assertNotSame('', $e->problems[0]->right);
        }
    }

    public function test_kept_it_is_a_paint_with_the_look_of_what_is_in_it(): void
    {
        $shelf = self::shelf();
        $product = OwnMix::of(self::read('3 sea grey + 1 ground white + 2 thinner'), '01K00000000000000000000999', 'haze', $shelf, 1.2);
        $back = Product::fromArray($product->toArray());

        self::assertEquals($product, $back);
        self::assertTrue($product->isOwnMix());
        self::assertSame([Family::WaterAcrylic, null, 1.2], [$product->family, $product->thinnedWith, $product->levelMl]);
        self::assertGreaterThan(\AmberStep\Core\Colour\Srgb::fromHex('#7C96A3')->lab()->l, \AmberStep\Core\Colour\Srgb::fromHex((string) $product->swatch)->lab()->l, 'lighter than the grey');
        self::assertEqualsWithDelta((3 * 0.8 + 1.4) / 4, $product->optics?->scatters, 1e-4, 'its paints\' scattering by volume');
        self::assertSame('lacquer thinner', OwnMix::of(self::read('1 alcohol sand + 1 lacquer thinner'), $product->id, 'x', $shelf, null)->thinnedWith?->value);
        $this->expectException(BadDocument::class);
        OwnMix::of(self::read('1 lacquer bronze + 1 lacquer red'), $product->id, 'flakes', $shelf, null);
    }

    public function test_a_paint_known_better_is_in_all_that_is_mixed_from_it(): void
    {
        $paints = self::shelf();
        $grey = array_values(array_filter($paints->products, static fn (Product $p): bool => $p->name === 'sea grey'))[0];
        $haze = OwnMix::of(self::read('3 sea grey + 1 ground white'), '01K00000000000000000000991', 'haze', $paints, 2.0)->with(['dropsPerMl' => 24, 'stirred' => '2026-03-01T19:00:00Z'])->withSpectrum();
        $with = new Shelf([...$paints->products, $haze]);
        $mist = (new RecipeLine($with))->read('1 haze + 2 ground white');
        $mist = OwnMix::of(new KeptRecipe($mist->parts, $mist->products), '01K00000000000000000000992', 'mist', $with, null)->withSpectrum();
        $own = $haze->with(['id' => '01K00000000000000000000993', 'name' => 'own', 'optics' => ['scatters' => 2.5, 'strength' => 1, 'spoon' => '2026-03-01T19:00:00Z', 'note' => 'seen']]);
        $shelf = new Shelf([...$paints->products, $haze, $mist, $own]);
        $seen = $grey->with(['optics' => ['scatters' => 0.2, 'strength' => 3, 'spoon' => '2026-03-02T19:00:00Z', 'note' => 'seen']]);
        $again = array_column(Remade::after($grey, $seen, $shelf), null, 'name');

        self::assertSame(['haze', 'own', 'mist'], array_keys($again), 'and what is mixed from the mix');
        self::assertEqualsWithDelta((3 * 0.2 + 1.4) / 4, $again['haze']->optics?->scatters, 1e-4);
        self::assertNotSame($haze->swatch, $again['haze']->swatch, 'it tints more');
        self::assertSame([2.0, 24.0, $haze->stirredEpoch], [$again['haze']->levelMl, $again['haze']->dropsPerMl, $again['haze']->stirredEpoch], 'its jar is the same');
        self::assertSame($again['haze']->swatch, $again['haze']->spectrum()->srgb()->hex());
        self::assertSame(2.5, $again['own']->optics?->scatters, 'what was seen of the mix itself stands');
        self::assertSame([], Remade::after($grey, $grey->with(['levelMl' => 1, 'price' => 9.9]), $shelf), 'a level changes no look');
    }

    public function test_what_a_cup_does_not_bear_is_said(): void
    {
        $says = static function (string $text): array {
            $recipe = self::read($text);

            return array_map(static fn (array $c): string => ($c[0] ? '!' : '').$c[1], CupCheck::of(Recipe::kept($recipe), array_map(self::shelf()->find(...), $recipe->products)));
        };

        self::assertSame([], $says('2 sea grey + 1 thinner'));
        self::assertStringContainsString('it curdles', $says('2 sea grey + 1 lacquer thinner')[0]);
        self::assertStringContainsString('it curdles', $says('2 sea grey + 1 isopropyl')[0]);
        self::assertSame([], $says('1 alcohol sand + 1 lacquer thinner'), 'for gloss');
        self::assertStringContainsString('do not mix', $says('1 sea grey + 1 lacquer red')[0]);
        self::assertStringContainsString('sets to rubber', $says('4 sea grey + 1 hardener')[0]);
        self::assertSame([], $says('4 enamel brown + 1 hardener + 3 white spirit'));
        self::assertStringStartsWith('More water than half', $says('2 sea grey + 1 water')[0]);
        self::assertSame([], $says('2 sea grey + 1 thinner + 1 water'));
    }

    public function test_a_jar_says_how_many_jobs_are_left_and_what_goes_back(): void
    {
        $jar = new Jar(Product::fromArray([...self::paint('sea grey')->toArray(), 'sizeMl' => 17, 'levelMl' => 5.1, 'stirred' => '2026-03-02T19:00:00Z']));
        $at = (int) strtotime('2026-03-02T20:00:00Z');

        self::assertSame([2, 5, true, 8.5], [$jar->jobs(2.5), $jar->jobs(1.02), $jar->isLastThird(), $jar->atHeight(0.5)]);
        self::assertSame([null, 'Stir the jar to the bottom first: it stood since Mon 19:00.'], [$jar->stirring($at, new \DateTimeZone('UTC')), preg_replace('/Mon \d+ \w+ /', 'Mon ', (string) $jar->stirring($at + 86400, new \DateTimeZone('UTC')))]);
        $left = static fn (bool $hard, bool $thin, bool $own, array $house = []): string => Jar::leftover($hard, $thin, $own, new HouseRules($house));
        self::assertStringContainsString('None of it goes back', $left(true, true, false, ['leftover' => 'jar']), 'hardened never');
        self::assertStringContainsString('goes in the bin', $left(false, true, false));
        self::assertStringContainsString('goes back if it is clean', $left(false, true, false, ['leftover' => 'jar']));
        self::assertStringContainsString('goes back into its jar', $left(false, false, false));
        self::assertStringContainsString('never', $left(false, true, true, ['leftover' => 'jar']));
    }

    public function test_the_gun_is_set_for_its_task_and_by_the_house_rule(): void
    {
        $house = static fn (string $thinning): HouseRules => new HouseRules(['thinning' => $thinning]);
        self::assertSame([[0.2, 0.2], [0.6, 1.0], [1.0, 3.0]], [Task::Lines->nozzleMm(), Task::Lines->pressureBar(Family::Lacquer, $house('label')), array_map(floatval(...), Task::Lines->distanceCm())]);
        self::assertSame([1.0, 1.7], Task::Colour->pressureBar(Family::WaterAcrylic, $house('label')));
        self::assertEqualsWithDelta([1.0, 1.35], Task::Colour->pressureBar(Family::WaterAcrylic, $house('thinner')), 1e-9, 'thinner, at lower pressure');
        self::assertEqualsWithDelta([0.65, 1.0, 1.65], [Task::Colour->thinnerPerPaint(Family::WaterAcrylic, $house('label')), Task::Colour->thinnerPerPaint(Family::WaterAcrylic, $house('thinner')), Task::Lines->thinnerPerPaint(Family::WaterAcrylic, $house('label'))], 1e-9, 'one part more for lines');
        self::assertSame([1.8, 1.8], Task::Primer->pressureBar(Family::SolventPrimer, $house('label')), 'the upper figure');
        self::assertSame([0.3, 0.35], Task::Colour->nozzleMm(true), 'metallic from 0.3');
    }

    public function test_a_better_ground_saves_coats_minutes_and_ml(): void
    {
        $saving = Saving::of(7, 4, 60, 0.8);
        self::assertSame(3, $saving->coats);
        self::assertEqualsWithDelta([12.0, 2.4], [$saving->minutes, $saving->ml], 1e-9, '1 + 0.05 min per cm² a coat');
        self::assertSame(0, Saving::of(2, 4, 60, 0.8)->coats, 'a worse one saves nothing');
    }
}
