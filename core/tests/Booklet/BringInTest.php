<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Booklet;

use AmberStep\Core\Booklet\BringIn;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Lines\LinePrinter;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Tests\Support\TypedBuild;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\TestCase;

/** What a call-out becomes in the kit: a part, an area, a pane, or nothing where it stays bare. */
final class BringInTest extends TestCase
{
    public function test_a_part_has_the_number_the_step_and_the_count_that_were_called_out(): void
    {
        $part = self::brought('7: C11 sea grey S x14 called "road wheel" lets light')->kit->parts[0];

        self::assertSame(['road wheel', 'C11', 7, 14, true, 'styrene'], [$part->name, $part->number, $part->bookletStep, $part->count, $part->letsLight, $part->substrate->value]);
    }

    public function test_a_size_letter_is_the_area_of_one_and_a_measure_is_kept_where_it_is_not_that(): void
    {
        $build = self::brought("1: A1 sea grey L\nA2 sea grey L half\nA3 sea grey L x3");
        $areas = array_map(static fn (Area $a): array => [$a->size->value, $a->measuredCm2], $build->kit->areas);

        self::assertSame([['L', null], ['L', 40.0], ['L', 240.0]], $areas, 'L is 80 cm²: half of it, and three of it, are measures');
    }

    public function test_the_inside_of_a_part_is_an_inside(): void
    {
        $build = self::brought("1: A1 interior dark M inside\nA1 sea grey L\nA2 sea grey M bottom");

        self::assertSame([Face::Inside, Face::Outside, Face::Outside], array_map(static fn (Area $a): Face => $a->face, $build->kit->areas));
        self::assertSame([$build->part('A1'), $build->part('A1'), $build->part('A2')], array_map(static fn (Area $a): string => $a->part, $build->kit->areas));
    }

    public function test_a_clear_part_gets_panes_and_a_bare_one_no_area(): void
    {
        $build = self::brought("1: D1 clear S\nD2 bare M");

        self::assertSame([[$build->part('D1'), Face::Pane, null]], array_map(static fn (Area $a): array => [$a->part, $a->face, $a->intent->colour], $build->kit->areas));
        self::assertSame(['clear-styrene', 'styrene'], array_map(static fn (Part $p): string => $p->substrate->value, $build->kit->parts));
    }

    public function test_a_part_typed_before_without_its_number_is_the_one_the_booklet_means(): void
    {
        $build = self::brought('3: B7 sea grey S called "mirror base"', "part \"mirror base\"\nmirror base / base, 5, sea grey");

        self::assertSame(['B7'], array_map(static fn (Part $p): ?string => $p->number, $build->kit->parts));
        self::assertCount(1, $build->kit->areas, 'its area has that colour already');
    }

    public function test_a_part_of_that_name_with_another_number_is_another_part(): void
    {
        $build = self::brought('3: B7 sea grey S called mirror', "part mirror, no B6\nmirror / base, 5, sea grey");

        self::assertSame(['B6', 'B7'], array_map(static fn (Part $p): ?string => $p->number, $build->kit->parts));
        self::assertCount(2, $build->kit->areas);
    }

    public function test_a_second_colour_on_a_part_is_an_area_with_a_name_of_its_own(): void
    {
        $build = self::brought("3: B1 sea grey S\nB1 slate green S");

        self::assertSame(['B1', 'B1, slate green'], array_map(static fn (Area $a): string => $a->name, $build->kit->areas));
    }

    public function test_it_gets_the_sheen_the_outsides_of_that_colour_have(): void
    {
        $build = self::brought("3: B1 sea grey S\nB2 slate green S\nB3 sea grey S inside", 'Wing / top, 40, sea grey, satin');
        $sheens = array_map(static fn (Area $a): ?string => $a->intent->sheen?->value, $build->kit->areas);

        self::assertSame(['satin', 'satin', null, null], $sheens);
    }

    public function test_as_a_fix_it_makes_the_same_edits_each_time_and_none_once_it_is_made(): void
    {
        $build = new TypedBuild('', "3: B1 sea grey S\nB2 clear S");
        $fix = BringIn::asFix($build->kit, $build->kit->callouts);

        self::assertSame(self::plain($fix), self::plain(BringIn::asFix($build->kit, $build->kit->callouts)));
        self::assertCount(4, $fix);
        $build->edit($fix);
        self::assertSame([], BringIn::asFix($build->kit, $build->kit->callouts));
    }

    public function test_one_call_out_brings_in_no_other(): void
    {
        $build = new TypedBuild('', "3: B1 sea grey S\nB2 slate green S");
        $build->edit(BringIn::asFix($build->kit, [$build->kit->callouts[1]]));

        self::assertSame(['B2'], array_map(static fn (Part $p): ?string => $p->number, $build->kit->parts));
    }

    public function test_what_is_brought_in_is_planned_and_reads_back_as_lines(): void
    {
        $build = self::brought("1: A1 A2 sea grey L\nA3 interior dark M inside\n2: A1 + A2, seam, closes over A3\nD1 clear S");
        $steps = array_map(static fn (PlannedStep $p): Step => $p->step, array_values($build->plan()->left));
        $painted = array_key_first(array_filter($steps, fn (Step $s): bool => $s->operation === Operation::Colour && $s->targets === [$build->area('A3 inside')]));
        $glued = array_key_first(array_filter($steps, fn (Step $s): bool => $s->operation === Operation::Glue && $s->jointId === $build->joint('A1 to A2')));

        self::assertLessThan($glued, $painted, 'the inside is painted before it is closed over');
        $again = LineReader::read(LinePrinter::text($build->kit, $build->shelf), $build->kit, $build->shelf, $build->newId(...), true);
        self::assertSame([], self::plain(KitDiff::edits($build->kit, $again->kit)));
    }

    private static function brought(string $booklet, string $lines = ''): TypedBuild
    {
        $build = new TypedBuild($lines, $booklet);
        $build->edit(BringIn::edits($build->kit, $build->kit->callouts, $build->newId(...)));

        return $build;
    }

    /**
     * @param  list<Edit>  $edits
     * @return list<array<string, mixed>>
     */
    private static function plain(array $edits): array
    {
        return array_map(static fn (Edit $e): array => $e->toArray(), $edits);
    }
}
