<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Mixing;

use AmberStep\Core\Material\Base;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Regulator;
use AmberStep\Core\Material\Stuff;
use AmberStep\Core\Material\Vessel;
use AmberStep\Core\Mixing\Batch;
use AmberStep\Core\Mixing\Drops;
use AmberStep\Core\Mixing\Pass;
use AmberStep\Core\Mixing\PotLife;
use AmberStep\Core\Mixing\Poured;
use AmberStep\Core\Mixing\Recipe;
use AmberStep\Core\Spray\Consistency;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Ratios, drops, grams, what was really poured, pot life, passes, pressure and consistency: the figures of handbook 4. */
final class MixingTest extends TestCase
{
    public function test_from_any_one_known_amount_all_others_follow(): void
    {
        $recipe = $this->greys();
        $batch = $recipe->total(6.35);
        self::assertEqualsWithDelta([6.35 * 3 / 11.55, 6.35 * 2 / 11.55, 6.35 * 6 / 11.55, 6.35 * 0.55 / 11.55], $batch->ml, 1e-9);
        foreach ($batch->ml as $which => $ml) {
            self::assertEqualsWithDelta($batch->ml, $recipe->component($which, $ml)->ml, 1e-9, "known by {$recipe->parts[$which]->name}");
        }
        self::assertEqualsWithDelta($batch->ml, $recipe->paint($batch->ml[0] + $batch->ml[1])->ml, 1e-9);
    }

    public function test_a_percentage_says_of_what(): void
    {
        $mixed = static fn (Base $base, float $amount): float => (new Recipe([new Part('paint', Stuff::Paint, 2), new Part('thinner', Stuff::LacquerThinner, 2), new Part('extra', Stuff::Additive, $amount, $base)]))->component(0, 2)->ml[2];

        self::assertEqualsWithDelta(0.4, $mixed(Base::PercentOfMix, 10), 1e-9, '4.0 ml and 10 % make 0.4 ml');
        self::assertEqualsWithDelta(0.2, $mixed(Base::PercentOfPaint, 10), 1e-9);
        self::assertEqualsWithDelta(0.5, $mixed(Base::ToPaint, 4), 1e-9);
        self::assertEqualsWithDelta(0.5, $mixed(Base::ToMix, 8), 1e-9);
        self::assertCount(6, array_unique(array_map(static fn (Base $b): string => $b->word(), Base::cases())));
    }

    /**
     * @param  non-empty-list<float>  $parts
     * @param  list<int>  $counts
     */
    #[DataProvider('drops')]
    public function test_whole_drops_are_the_least_wrong_and_then_the_fewest(array $parts, int $wanted, array $counts, float $error): void
    {
        $drops = Drops::of($parts, $wanted);
        self::assertSame($counts, $drops->counts);
        self::assertEqualsWithDelta($error, $drops->error, 0.0005);
        self::assertSame(array_sum($counts), $drops->total());
    }

    /** @return iterable<string, array{non-empty-list<float>, int, list<int>, float}> */
    public static function drops(): iterable
    {
        yield 'it comes out even' => [[3, 2], 50, [30, 20], 0];
        yield 'one to one and a fifth' => [[1, 1.2], 23, [11, 13], 0.0083];
        yield 'one of each at least' => [[1, 99], 3, [1, 2], 32.3333];
        yield 'three' => [[3, 2, 6], 11, [3, 2, 6], 0];
    }

    public function test_whole_drops_against_brute_force(): void
    {
        $random = new Randomizer(new Mt19937(7));
        for ($i = 0; $i < 150; $i++) {
            $parts = [self::between($random, 0.5, 9), self::between($random, 0.5, 9)];
            $wanted = $random->getInt(8, 60);
            $best = [INF, 0];
            for ($total = $wanted; $total <= (int) floor($wanted * 1.2); $total++) {
                for ($a = 1; $a < $total; $a++) {
                    $error = max(abs($a / $total / ($parts[0] / array_sum($parts)) - 1), abs(($total - $a) / $total / ($parts[1] / array_sum($parts)) - 1));
                    $best = $error < $best[0] - 1e-12 ? [$error, $total] : $best;
                }
            }
            $drops = Drops::of($parts, $wanted);
            self::assertEqualsWithDelta($best, [$drops->error, $drops->total()], 1e-9, 'least wrong, then fewest');
        }
    }

    public function test_drops_and_grams_go_by_bottle_and_stuff(): void
    {
        $batch = new Batch(new Recipe([new Part('paint', Stuff::Paint, 1), new Part('water', Stuff::Water, 1), new Part('thinner', Stuff::WhiteSpirit, 1, vessel: Vessel::Pipette), new Part('counted', Stuff::Paint, 1, mlPerDrop: 0.048)]), [1.4, 1.0, 1.0, 0.48]);

        self::assertEqualsWithDelta([40, 20, 40, 10], $batch->drops(), 1e-9);
        self::assertEqualsWithDelta([1.54, 1.0, 0.78, 0.528], $batch->grams(), 1e-9);
    }

    public function test_the_cup_is_poured_in_order_with_marks(): void
    {
        $batch = $this->greys()->total(6.35);
        self::assertSame([2, 0, 1, 3], array_column($batch->pouring(true), 0), 'thinner first, additive last');
        self::assertSame([0, 1, 2, 3], array_column($batch->pouring(false), 0), 'paint first');
        self::assertEqualsWithDelta(6.35, $batch->pouring(true)[3][1], 1e-9);
        self::assertSame([1, 2, 2], [$batch->cups(7), $batch->cups(6), $batch->cups(3.175)]);
    }

    public function test_what_was_poured_is_put_right_by_the_least_or_rebuilt(): void
    {
        $sixty = new Recipe([new Part('white', Stuff::Paint, 60), new Part('blue', Stuff::Paint, 40)]);
        $poured = Poured::against($sixty, [40, 40]);
        self::assertTrue($poured->contradicts());
        self::assertEqualsWithDelta([[20, 0], [48, 32]], [$poured->add, $poured->rebuilt], 1e-9);
        self::assertEqualsWithDelta(20, $poured->added(), 1e-9);
        self::assertFalse(Poured::against($sixty, [60.5, 39.8])->contradicts(), 'closer than anybody pours');
        self::assertEqualsWithDelta([0, 10], Poured::against($sixty, [15, 0])->add, 1e-9, 'not in yet');
        self::assertFalse(Poured::against($sixty, [0, 0])->contradicts());
    }

    public function test_after_the_addition_the_ratio_holds_and_nothing_less_would_do(): void
    {
        $random = new Randomizer(new Mt19937(11));
        for ($i = 0; $i < 200; $i++) {
            $parts = array_map(static fn (int $n): Part => new Part("p{$n}", $n === 2 ? Stuff::LacquerThinner : Stuff::Paint, self::between($random, 0.2, 9)), range(0, $random->getInt(1, 3)));
            $recipe = new Recipe($parts);
            $ml = array_map(static fn (): float => self::between($random, 0.1, 5), $parts);
            $poured = Poured::against($recipe, $ml);
            $after = array_map(static fn (float $m, float $a): float => $m + $a, $ml, $poured->add);
            self::assertLessThan(1e-9, max(array_map(abs(...), Poured::against($recipe, $after)->off)));
            self::assertContains(0.0, array_map(static fn (float $a): float => round($a, 12), $poured->add), 'one part needs nothing');
            self::assertEqualsWithDelta(array_sum($ml), array_sum($poured->rebuilt), 0.001);
        }
    }

    public function test_volumes_add_up_and_the_order_of_parts_does_not_matter(): void
    {
        $random = new Randomizer(new Mt19937(3));
        for ($i = 0; $i < 200; $i++) {
            $parts = [new Part('paint', Stuff::Paint, self::between($random, 0.1, 20)), new Part('other', Stuff::Paint, self::between($random, 0.1, 20)), new Part('thinner', Stuff::Isopropyl, self::between($random, 0.1, 20)), new Part('retarder', Stuff::Additive, self::between($random, 0.5, 30), Base::PercentOfMix), new Part('hardener', Stuff::Hardener, self::between($random, 2, 10), Base::ToMix)];
            $ml = self::between($random, 0.5, 80);
            $batch = (new Recipe($parts))->total($ml);
            $named = array_combine(array_map(static fn (Part $p): string => $p->name, $parts), $batch->ml);
            $turned = $random->shuffleArray($parts);
            $again = (new Recipe($turned))->total($ml);
            self::assertEqualsWithDelta($ml, $batch->totalMl(), 0.001);
            foreach ($turned as $j => $part) {
                self::assertEqualsWithDelta($named[$part->name], $again->ml[$j], 1e-9);
            }
        }
    }

    /** @param  list<Part>  $parts */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused(array $parts): void
    {
        $this->expectException(InvalidArgumentException::class);
        new Recipe($parts === [] ? [new Part('x', Stuff::Additive, 5, Base::PercentOfMix)] : $parts);
    }

    /** @return iterable<string, array{list<Part>}> */
    public static function nonsense(): iterable
    {
        yield 'one to nothing' => [[new Part('a', Stuff::Paint, 1), new Part('b', Stuff::Paint, 0)]];
        yield 'less than nothing' => [[new Part('a', Stuff::Paint, -1)]];
        yield 'no end' => [[new Part('a', Stuff::Paint, INF)]];
        yield 'a percentage of nothing' => [[]];
    }

    public function test_pot_life_halves_for_ten_degrees(): void
    {
        self::assertEqualsWithDelta([120, 60, 240], [PotLife::at(PotLife::TWO_PART, 20), PotLife::at(PotLife::TWO_PART, 30), PotLife::at(PotLife::TWO_PART, 10)], 1e-9);
        self::assertEqualsWithDelta(257.2, PotLife::at(PotLife::ENAMEL, 19), 0.1);
    }

    public function test_a_pass_takes_what_it_lays_and_what_drifts_away(): void
    {
        self::assertEqualsWithDelta(81.8, Pass::wetMicrons(9, 0.22, 0.5), 0.05);
        self::assertEqualsWithDelta(196 * 81.818 * 1e-4 / 0.5, Pass::ml(196, 9, 0.22, 0.5, 0.5), 0.001);
    }

    public function test_the_setting_at_rest_follows_from_one_pair_of_readings(): void
    {
        $regulator = new Regulator(1.75, 1.45);
        self::assertEqualsWithDelta([1.5, 1.2, 0.0], [$regulator->atRest(1.2), $regulator->working(1.5), $regulator->working(0.1)], 1e-9);
        self::assertEqualsWithDelta(25.4, 1.75 * Regulator::PSI_PER_BAR, 0.05, 'handbook 4: 1.75 bar is 25.4 psi');
        $this->expectException(InvalidArgumentException::class);
        new Regulator(1.2, 1.4);
    }

    public function test_consistency_becomes_a_correction_of_this_mix(): void
    {
        self::assertEqualsWithDelta([0.4, 0.4, 0, 0], array_map(static fn (Consistency $c): float => $c->thinnerMl(4), [Consistency::OpaqueSheet, Consistency::Grainy, Consistency::Even, Consistency::Spider]), 1e-9);
        self::assertEqualsWithDelta([0.4, 0.4, 0, 0], array_map(static fn (Consistency $c): float => $c->paintMl(4), [Consistency::Spider, Consistency::Runs, Consistency::Beads, Consistency::OpaqueSheet]), 1e-9);
        self::assertSame([Consistency::ThinFilm, Consistency::Even], array_values(array_filter(Consistency::cases(), static fn (Consistency $c): bool => $c->isGood())));
        self::assertStringContainsString('0.40 ml of thinner', Consistency::OpaqueSheet->says(4));
        self::assertStringContainsString('0.2 bar less', Consistency::Spider->says(4));
        foreach (Consistency::cases() as $each) {
            self::assertMatchesRegularExpression('/\A[A-Z].*\.\z/s', $each->says(2));
        }
    }

    private static function between(Randomizer $random, float $least, float $most): float
    {
        return $least + ($most - $least) * $random->getInt(0, 1_000_000) / 1_000_000;
    }

    private function greys(): Recipe
    {
        return new Recipe([new Part('light grey', Stuff::Paint, 3), new Part('sea blue', Stuff::Paint, 2), new Part('lacquer thinner', Stuff::LacquerThinner, 6), new Part('retarder', Stuff::Additive, 5, Base::PercentOfMix)]);
    }
}
