<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Booklet;

use AmberStep\Core\Booklet\BringIn;
use AmberStep\Core\Booklet\ColourLists;
use AmberStep\Core\Booklet\ColourNeed;
use AmberStep\Core\Booklet\Gluing;
use AmberStep\Core\Booklet\JarNeed;
use AmberStep\Core\Booklet\Tally;
use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Parking;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Material\Base;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Stuff;
use AmberStep\Core\Mixing\OwnMix;
use AmberStep\Core\Tests\Support\TypedBuild;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\TestCase;

/** What the colours need by both schools, and where the gluing has to wait for paint. */
final class TallyTest extends TestCase
{
    public function test_it_agrees_with_a_hand_count(): void
    {
        $needs = self::needs(new TypedBuild('', "2: A1 A2 sea grey XL\nA3 sea grey XS x4\n5: A4 sea grey L half\n1: A4 slate green S x3\nA5 slate green M"));

        // XL 5 + 5, XS 1 × 4, L 3; 250 + 250 + 4 + 40 cm².
        self::assertSame([17, 544.0, 2], [$needs['sea grey']->counts, $needs['sea grey']->cm2, $needs['sea grey']->firstStep]);
        self::assertSame([5, 40.0, 1], [$needs['slate green']->counts, $needs['slate green']->cm2, $needs['slate green']->firstStep]);
        self::assertSame(['sea grey', 'slate green'], array_keys($needs), 'what needs most comes first');
    }

    public function test_the_ml_are_those_of_the_handbooks_formula(): void
    {
        $needs = self::needs(new TypedBuild('', "2: A1 sea grey XL\nA3 sea grey XS x4"));

        // Water acrylic: reference film 8 µm, solids 0.30; two coats, the first a mist of half. Small parts get half the transfer.
        $build = new TypedBuild('');
        $figures = $build->shelf->products[5]->family->figures();
        $film = $figures->referenceFilmMicrons * 1.5;
        $expected = 250 * $film * 1e-4 / ($figures->solidsByVolume * 0.5) + 4 * $film * 1e-4 / ($figures->solidsByVolume * 0.25) + 0.3 / (1 + $figures->thinnerPerPaint->middle());
        self::assertEqualsWithDelta($expected, $needs['sea grey']->mlByArea, 1e-9);

        // Nine counts of 12.5 cm² each, all of it as wide as the spray.
        self::assertEqualsWithDelta(9 * 12.5 * $film * 1e-4 / ($figures->solidsByVolume * 0.5) + 0.3 / (1 + $figures->thinnerPerPaint->middle()), $needs['sea grey']->mlByCount, 1e-9);
    }

    public function test_the_house_rule_says_which_school_buys(): void
    {
        $build = new TypedBuild('', '2: A1 sea grey XL');
        $byArea = self::needs($build)['sea grey'];
        $build->edit([Edit::house('estimate', 'count')]);
        $byCount = self::needs($build)['sea grey'];

        self::assertSame([$byArea->mlByArea, $byCount->mlByCount], [$byArea->ml, $byCount->ml]);
        self::assertNotSame($byArea->ml, $byCount->ml);
    }

    public function test_what_several_colours_take_is_summed_by_jar(): void
    {
        $build = new TypedBuild('', "1: A1 sea grey L\nA2 ground white XL");
        $of = static fn (string $name): Product => array_values(array_filter($build->shelf->products, static fn (Product $p): bool => $p->name === $name))[0];
        [$grey, $white] = [$of('sea grey'), $of('ground white')];
        $kept = new KeptRecipe([new Part('sea grey', Stuff::Paint, 3), new Part('ground white', Stuff::Paint, 1), new Part('water', Stuff::Water, 50, Base::PercentOfPaint)], [$grey->id, $white->id, null]);
        $build->edit([Edit::set('colours', array_values(array_filter($build->kit->colours, static fn ($c): bool => $c->name === 'sea grey'))[0]->id, 'product', Id::from('haze'))]);
        $jars = static function (?float $mixed) use ($build, $kept): array {
            $shelf = new Shelf([...$build->shelf->products, OwnMix::of($kept, Id::from('haze'), 'haze', $build->shelf, $mixed)]);
            $tally = Tally::of($build->kit, ColourLists::of($build->kit, new Breakdown($build->kit, $build->kit->house), Log::replay([], $build->kit, $shelf, $build->now)), $shelf, new HouseRules);

            return [array_column($tally->needs, 'ml', 'name'), array_column(array_map(static fn (JarNeed $j): array => ['name' => $j->product->name, 'ml' => $j->ml], $tally->jars), 'ml', 'name'), $tally->jars];
        };

        [$needs, $ml, $of] = $jars(null);
        self::assertEqualsCanonicalizing(['ground white', 'sea grey'], array_keys($ml), 'nobody sells the mix');
        self::assertEqualsWithDelta(0.75 * $needs['sea grey'], $ml['sea grey'], 1e-9);
        self::assertEqualsWithDelta($needs['ground white'] + 0.25 * $needs['sea grey'], $ml['ground white'], 1e-9);
        self::assertEqualsCanonicalizing(['ground white', 'sea grey'], $of[0]->colours, 'the white jar gives to both');
        self::assertEqualsWithDelta(0.75 * ($needs['sea grey'] - 0.5), $jars(0.5)[1]['sea grey'], 1e-9, 'half a millilitre of it is mixed already');
    }

    public function test_what_is_measured_beats_the_letter_it_was_typed_with(): void
    {
        $build = new TypedBuild('', '1: A1 sea grey L');
        $build->edit(BringIn::edits($build->kit, $build->kit->callouts, $build->newId(...)));
        $build->edit([Edit::set('areas', $build->kit->areas[0]->id, 'cm2', 72.5)]);

        self::assertSame(72.5, self::needs($build)['sea grey']->cm2);
    }

    public function test_letters_weigh_one_one_two_three_five_and_a_measure_takes_the_nearest(): void
    {
        self::assertSame([1, 1, 2, 3, 5], array_map(static fn (Size $s): int => $s->weight(), Size::cases()));
        self::assertSame([Size::XS, Size::S, Size::M, Size::L, Size::XL, Size::XL], array_map(Size::nearest(...), [0.2, 3.0, 40.0, 60.0, 200.0, 9000.0]));
    }

    public function test_what_is_parked_is_out_of_every_list_and_of_the_tally(): void
    {
        $build = new TypedBuild('', "choose hatch = open\n6: C4 sea grey S option hatch=open\nC5 sea grey L option hatch=shut");

        self::assertSame(1, self::needs($build)['sea grey']->parts);
        $build->booklet('choose hatch = shut');
        self::assertSame([80.0], array_column(array_map(static fn (ColourNeed $n): array => ['cm2' => $n->cm2], array_values(self::needs($build))), 'cm2'));
        self::assertSame(['hatch: shut is built, not open'], array_values((new Parking($build->kit))->why));
    }

    public function test_the_dead_stop_is_the_first_gluing_that_closes_over_bare_plastic(): void
    {
        $build = new TypedBuild('', "1: A1 sea grey L\n2: A2 slate green S\nA1 + A2\n3: A3 interior dark M inside\n3: A4 sea grey L\n4: A3 + A4, seam, closes over A3\n6: A1 + A3");
        $build->edit(BringIn::edits($build->kit, $build->kit->callouts, $build->newId(...)));
        $gluing = self::gluing($build);

        self::assertSame([2, 4, 6], array_map(static fn ($s): int => $s->step, $gluing->stops));
        self::assertSame('Step 4 closes A3 to A4 over A3 inside: paint interior dark first.', $gluing->deadStop()?->sentence);
        self::assertStringContainsString('left off until after paint, since the colours differ', $gluing->stops[0]->sentence);

        $build->happened(EventKind::Done, $build->area('A3 inside'), Operation::Colour, $build->colour('interior dark'), ['product' => $build->kit->coloursById[$build->colour('interior dark')]->product]);
        self::assertFalse(self::gluing($build)->deadStop()?->closesOver, 'painted, it stops nobody');
    }

    public function test_a_list_has_every_part_and_face_and_what_the_booklet_forgot(): void
    {
        $build = new TypedBuild("part Wing, no A1\nWing / top, 40, sea grey\nWing / tip, 4, sea grey\nFin / fin, 9, sea grey\nPlug / plug, 3, slate green, inside sea grey", "2: A1 sea grey XL\n3: B7 sea grey XS left half called \"mirror base\"");
        $lists = ColourLists::of($build->kit, new Breakdown($build->kit, new HouseRules), Log::replay([], $build->kit, $build->shelf, TypedBuild::NOW));

        self::assertSame(['A1 Wing, step 2', 'B7 mirror base, step 3, left half', 'Fin', 'Plug, inside colour'], array_map(static fn ($i): string => $i->words(), $lists->byColour[$build->colour('sea grey')]));
        self::assertNull($lists->byColour[$build->colour('sea grey')][1]->piece, 'nothing of it is on a piece');
        self::assertCount(4, $lists->open($build->colour('sea grey')));
    }

    public function test_a_line_is_done_when_ticked_or_sprayed_but_a_face_only_when_ticked(): void
    {
        $build = new TypedBuild("part Wing, no A1\nWing / top, 40, sea grey\npart Lamp, no A2\nLamp / lamp, 2, sea grey", "2: A1 sea grey XL\nA2 sea grey XS half");
        $colour = $build->colour('sea grey');
        $product = ['product' => $build->kit->coloursById[$colour]->product];
        $build->happened(EventKind::Done, $build->area('top'), Operation::Colour, $colour, $product);
        $build->happened(EventKind::Done, $build->area('lamp'), Operation::Colour, $colour, $product);
        $open = fn (): array => array_map(static fn ($i): string => $i->called(), ColourLists::of($build->kit, new Breakdown($build->kit, new HouseRules), Log::replay($build->events, $build->kit, $build->shelf, TypedBuild::NOW))->open($colour));

        self::assertSame(['A2 Lamp'], $open());
        $build->happened(EventKind::Ticked, $build->kit->callouts[1]->id, null, $colour);
        self::assertSame([], $open());
        $build->happened(EventKind::TakeBack, $build->kit->callouts[1]->id, null, '', ['takesBack' => $build->events[2]->id]);
        self::assertSame(['A2 Lamp'], $open());
    }

    /** @return array<string, ColourNeed> by name */
    private static function needs(TypedBuild $build): array
    {
        $kit = Parking::active($build->kit);
        $lists = ColourLists::of($kit, new Breakdown($kit, $kit->house), Log::replay([], $kit, $build->shelf, TypedBuild::NOW));
        $needs = [];
        foreach (Tally::of($kit, $lists, $build->shelf, $kit->house)->needs as $need) {
            $needs[$need->name] = $need;
        }

        return $needs;
    }

    private static function gluing(TypedBuild $build): Gluing
    {
        return Gluing::of($build->kit, new Breakdown($build->kit, new HouseRules), Log::replay($build->events, $build->kit, $build->shelf, TypedBuild::NOW));
    }
}
