<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Booklet;

use AmberStep\Core\Booklet\ColourLists;
use AmberStep\Core\Booklet\JarNeed;
use AmberStep\Core\Booklet\Pattern;
use AmberStep\Core\Booklet\Tally;
use AmberStep\Core\Booklet\Tone;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Masking\Register;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\TestCase;

/** Tones over one another from one start mark, and what they take out of which jars. */
final class PatternTest extends TestCase
{
    /** @return array{list<Pattern>, Tally} */
    private static function patterns(string $start = 'keel'): array
    {
        $build = new Build(['kit' => [
            'parts' => ['hull' => 'styrene', 'door' => 'styrene'], 'colours' => ['one' => 'pale grey', 'two' => 'sea grey', 'three' => 'slate green'],
            'areas' => [
                'h1' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'one'], 'h2' => ['part' => 'hull', 'cm2' => 30, 'colour' => 'two'], 'h3' => ['part' => 'hull', 'cm2' => 20, 'colour' => 'three'],
                'd2' => ['part' => 'door', 'cm2' => 10, 'colour' => 'two'],
            ],
        ]]);
        $array = $build->kit->toArray();
        $array['masks'] = [
            ['id' => '01K0000000000000000000M001', 'position' => 0, 'label' => '1', 'sheet' => 's', 'area' => $build->id('h1'), 'start' => $start],
            ['id' => '01K0000000000000000000M002', 'position' => 1, 'label' => '2', 'sheet' => 's', 'area' => $build->id('h2'), 'start' => $start],
        ];
        $kit = Kit::fromArray($array);
        $context = $build->plan($kit)->context;
        // The second tone is two parts of pale grey and one of slate green.
        $paint = array_column($kit->colours, 'product', 'name');
        $products = array_map(static function (Product $p) use ($paint): Product {
            $mixed = $p->id === $paint['two'];
            $parts = static fn (string $colour, int $n): array => ['product' => $paint[$colour], 'name' => $colour, 'stuff' => 'paint', 'amount' => $n, 'base' => 'parts'];

            return $mixed ? Product::fromArray([...$p->toArray(), 'levelMl' => 0, 'mix' => ['parts' => [$parts('one', 2), $parts('three', 1)], 'ground' => 'x', 'gun' => 'x', 'asks' => []]]) : $p;
        }, $build->shelf->products);
        $shelf = new Shelf(array_values($products));
        $tally = Tally::of($kit, ColourLists::of($kit, $context->breakdown, $context->surface), $shelf, new HouseRules);

        return [Pattern::all($kit, new Register($kit, $context->surface), $context->breakdown, $tally, $shelf), $tally];
    }

    public function test_a_pattern_has_all_tones_of_the_pieces_its_masks_lie_on_and_their_totals_over_the_model(): void
    {
        [[$pattern], $tally] = self::patterns();

        self::assertSame('keel', $pattern->start);
        self::assertSame(['one', 'two', 'three'], array_map(static fn (Tone $t): string => $t->need->name, $pattern->tones));
        self::assertSame([40.0, 30.0, 20.0], array_map(static fn (Tone $t): float => $t->cm2, $pattern->tones), 'the door is no piece of the pattern');
        self::assertSame(['hull', 'door'], $pattern->tones[1]->pieces);
        self::assertSame(40.0, $pattern->tones[1]->need->cm2, 'but the tone is mixed for it too');
        self::assertEqualsWithDelta($tally->ml(), array_sum(array_map(static fn (JarNeed $j): float => $j->ml, $pattern->jars)), 1e-9);
    }

    public function test_what_comes_out_of_each_jar_is_added_up_and_a_mix_has_a_whole_drop_of_each(): void
    {
        [[$pattern]] = self::patterns();
        $ml = array_map(static fn (Tone $t): float => $t->need->ml, $pattern->tones);
        $jars = [];
        foreach ($pattern->jars as $jar) {
            $jars[$jar->product->name] = $jar->ml;
        }

        self::assertEqualsWithDelta($ml[0] + $ml[1] * 2 / 3, $jars['pale grey'], 1e-9);
        self::assertEqualsWithDelta($ml[2] + $ml[1] / 3, $jars['slate green'], 1e-9);
        self::assertSame($ml[0], $pattern->tones[0]->mixMl(), 'out of one jar any amount is taken');
        self::assertEqualsWithDelta(max($ml[1], 3 * 0.035), $pattern->tones[1]->mixMl(), 1e-9);
    }

    public function test_masks_that_begin_at_no_mark_are_no_pattern(): void
    {
        self::assertSame([], self::patterns('')[0]);
    }
}
