<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Section;

use AmberStep\Core\Section\Cap;
use AmberStep\Core\Section\Mark;
use AmberStep\Core\Section\RowKind;
use AmberStep\Core\Section\Rows;
use AmberStep\Core\Section\Section;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Single things the drawing has to show, each on a build that has it. */
final class DrawingCasesTest extends TestCase
{
    private const TWO = ['parts' => ['hull' => 'styrene'], 'colours' => ['pale' => 'pale grey', 'green' => 'slate green'], 'areas' => ['upper' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'pale'], 'lower' => ['part' => 'hull', 'cm2' => 30, 'colour' => 'green']], 'edges' => [['upper', 'lower', 120, 'hard']]];

    /** @param  list<string>  $rows */
    #[DataProvider('rows')]
    public function test_rows_stand_in_the_order_of_the_work(array $kit, array $house, array $rows): void
    {
        $section = Section::of((new Build(['kit' => $kit, 'house' => $house]))->plan());

        self::assertSame($rows, array_map(static fn ($r): string => $r->title, $section->rows));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, string>, list<string>}> */
    public static function rows(): iterable
    {
        $one = ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey', 'dark' => 'interior dark', 'white' => 'ground white']];
        yield 'decals and a wash' => [$one + ['areas' => ['side' => ['part' => 'hull', 'colour' => 'grey', 'decals' => true, 'wash' => 'pin', 'sheen' => 'matt']]], [], ['bare', 'grey primer', 'grey', 'gloss', 'decals', 'seal', 'pin wash', 'matt']];
        yield 'a ground and a pre-shade' => [$one + ['areas' => ['side' => ['part' => 'hull', 'colour' => 'grey', 'ground' => 'white', 'preshade' => 'dark']]], [], ['bare', 'grey primer', 'pre-shade dark', 'white under grey', 'grey']];
        yield 'no primer' => [$one + ['areas' => ['side' => ['part' => 'hull', 'colour' => 'grey']]], ['primer' => 'never'], ['bare', 'grey']];
        yield 'a filter on a barrier' => [$one + ['areas' => ['side' => ['part' => 'hull', 'colour' => 'grey', 'wash' => 'filter']]], [], ['bare', 'grey primer', 'grey', 'barrier', 'filter', 'satin']];
        yield 'a seam' => [['parts' => ['hull' => 'styrene', 'fin' => 'styrene'], 'joints' => ['root' => ['parts' => ['hull', 'fin'], 'kind' => 'seam', 'closed' => 'before', 'gapMm' => 0.2, 'lengthCm' => 4]]] + $one + ['areas' => ['side' => ['part' => 'hull', 'colour' => 'grey']]], [], ['bare', 'fill, cut back', 'grey primer', 'grey']];
    }

    public function test_a_cap_spans_the_rows_it_stays_on_and_says_what_is_real(): void
    {
        $build = new Build(['now' => '2026-03-05 19:30', 'house' => ['primer' => 'never'], 'kit' => self::TWO, 'log' => [
            ['at' => '2026-03-03 19:00', 'do' => 'colour', 'on' => ['upper'], 'for' => 'pale', 'with' => 'pale grey', 'coat' => 'mist'], ['at' => '2026-03-03 19:20', 'do' => 'colour', 'on' => ['upper'], 'for' => 'pale', 'with' => 'pale grey'],
            ['at' => '2026-03-05 19:10', 'do' => 'mask', 'on' => ['upper'], 'for' => 'pale', 'medium' => 'paper-tape'],
        ]]);
        $section = Section::of($build->plan());
        $cap = $section->caps[0];

        self::assertSame(['pale', 'cap pale, paper tape', 'green', 'masks off'], array_map(static fn ($r): string => $r->title, array_slice($section->rows, 1)));
        self::assertSame([2, 4, true, false], [$cap->fromRow, $cap->toRow, $cap->on, $cap->off]);
        self::assertSame([false, true, false], array_map($cap->covers(...), [1, 3, 4]));
        self::assertSame(3.0, $section->columns[0]->now, 'above the mask that is on');
        self::assertSame(1.0, $section->columns[1]->now, 'nothing is on the lower hull');
    }

    public function test_a_mask_put_on_again_is_a_second_cap(): void
    {
        $build = new Build(['now' => '2026-03-06 19:30', 'house' => ['primer' => 'never'], 'kit' => self::TWO, 'log' => [
            ['at' => '2026-03-03 19:00', 'do' => 'colour', 'on' => ['upper'], 'for' => 'pale', 'with' => 'pale grey'], ['at' => '2026-03-03 19:20', 'do' => 'colour', 'on' => ['upper'], 'for' => 'pale', 'with' => 'pale grey'],
            ['at' => '2026-03-05 19:10', 'do' => 'mask', 'on' => ['upper'], 'for' => 'pale', 'medium' => 'paper-tape'], ['at' => '2026-03-05 20:00', 'do' => 'unmask', 'on' => ['upper'], 'for' => 'pale'],
            ['at' => '2026-03-06 19:10', 'do' => 'mask', 'on' => ['upper'], 'for' => 'pale', 'medium' => 'vinyl-tape'],
        ]]);
        $caps = Section::of($build->plan())->caps;

        self::assertSame(['paper-tape', 'vinyl-tape'], array_map(static fn (Cap $c): string => $c->medium->value, $caps));
        self::assertSame([true, false], array_map(static fn (Cap $c): bool => $c->off, $caps));
        self::assertGreaterThan($caps[0]->toRow, $caps[1]->fromRow);
    }

    public function test_a_mask_nobody_takes_off_stays_on_to_the_top(): void
    {
        $build = new Build(['house' => ['primer' => 'never'], 'kit' => ['parts' => ['canopy' => 'clear-styrene'], 'areas' => ['pane' => ['part' => 'canopy', 'face' => 'pane']]], 'log' => [['at' => '19:00', 'do' => 'mask', 'on' => ['pane'], 'medium' => 'cut-film']]]);
        $cap = Section::of($build->plan())->caps[0];

        self::assertNull($cap->toRow);
        self::assertTrue($cap->covers(50));
    }

    public function test_film_is_what_lies_there_and_what_will(): void
    {
        $build = new Build(['house' => ['primer' => 'never'], 'kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey', 'decals' => true, 'sheen' => 'matt']]], 'log' => [['at' => '19:00', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'wet']]]);
        $column = Section::of($build->plan())->columns[0];

        // A wet coat of 8 µm paint is 12; the second light one 8; gloss 8 and 12; a decal nothing; matt 8 and 8.
        self::assertEqualsWithDelta(12.0, $column->filmNowMicrons, 1e-9);
        self::assertEqualsWithDelta(12 + 8 + 20 + 16, $column->filmMicrons, 1e-9);
    }

    public function test_findings_stand_on_the_layers_and_masks_they_are_about(): void
    {
        $build = new Build(['house' => ['light-first' => 'always'], 'kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['bronze' => 'lacquer bronze', 'red' => 'lacquer red'], 'areas' => ['a' => ['part' => 'hull', 'colour' => 'bronze'], 'b' => ['part' => 'hull', 'colour' => 'red']], 'edges' => [['a', 'b', 100, 'soft']]]]);
        $plan = $build->plan();
        $section = Section::of($plan);
        $finding = array_values(array_filter($plan->findings, static fn ($f): bool => $f->rule === 'mask-reacts'))[0];
        $places = $section->places($finding->steps);

        self::assertSame([[$build->id('a'), $section->caps[0]->fromRow]], $places);
        self::assertSame('cap bronze, rolled putty', $section->rows[$places[0][1]]->title);
        self::assertSame([], $section->places(['nothing/at/all/1']));
    }

    public function test_a_cell_is_found_by_area_and_row_and_knows_its_steps(): void
    {
        $build = new Build(['house' => ['primer' => 'never'], 'kit' => self::TWO]);
        $section = Section::of($build->plan());
        $cell = $section->cell($build->id('upper'), 1);

        self::assertSame([$build->id('hull').'/colour/'.$build->id('colour pale').'/1', $build->id('hull').'/colour/'.$build->id('colour pale').'/2', $build->id('hull').'/colour/'.$build->id('colour pale').'/3'], $cell?->steps);
        self::assertTrue($cell->isPlanned());
        self::assertNull($section->cell($build->id('lower'), 1));
    }

    public function test_a_joint_face_is_no_column_and_a_bare_area_is(): void
    {
        $kit = ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey'], 'face' => ['part' => 'hull', 'face' => 'joint-face'], 'keel' => ['part' => 'hull']]];
        $section = Section::of((new Build(['kit' => $kit]))->plan());

        self::assertSame(['side', 'keel'], array_map(static fn ($c): string => $c->area->name, $section->columns));
        self::assertSame(['cap what stays bare'], array_values(array_filter(array_map(static fn ($r): string => $r->title, $section->rows), static fn (string $t): bool => str_starts_with($t, 'cap'))));
    }

    /**
     * @param  array<string, list<string>>  $pieces  keys of each piece, oldest first
     * @param  list<string>  $rows
     */
    #[DataProvider('merges')]
    public function test_pieces_share_rows_as_far_as_their_orders_allow(array $pieces, array $rows): void
    {
        $marks = [];
        $at = 0;
        foreach ($pieces as $piece => $keys) {
            foreach ($keys as $i => $key) {
                $marks[] = new Mark($at++, "{$piece} area", $piece, $key, "ref {$i}", $key, RowKind::Colour);
            }
        }
        $made = new Rows($marks);

        self::assertSame($rows, array_map(static fn ($r): string => $r->title, array_slice($made->rows, 1)));
        foreach ($pieces as $piece => $keys) {
            $places = array_map(static fn (int $i): int => $made->of("{$piece} area", "ref {$i}"), array_keys($keys));
            $sorted = $places;
            sort($sorted);
            self::assertSame($sorted, $places, "{$piece} is out of its order");
        }
    }

    /** @return iterable<string, array{array<string, list<string>>, list<string>}> */
    public static function merges(): iterable
    {
        yield 'the same order' => [['hull' => ['primer', 'grey', 'matt'], 'float' => ['primer', 'grey', 'matt']], ['primer', 'grey', 'matt']];
        yield 'one with a layer more' => [['hull' => ['primer', 'grey', 'gloss', 'matt'], 'float' => ['primer', 'grey', 'matt']], ['primer', 'grey', 'gloss', 'matt']];
        yield 'one with a layer of its own' => [['hull' => ['primer', 'grey', 'matt'], 'tyre' => ['primer', 'black']], ['primer', 'grey', 'matt', 'black']];
        yield 'opposite orders' => [['hull' => ['grey', 'green'], 'float' => ['green', 'grey']], ['grey', 'green', 'grey']];
        yield 'nothing in common' => [['hull' => ['grey'], 'tyre' => ['black']], ['grey', 'black']];
        yield 'a layer twice' => [['hull' => ['gloss', 'decal', 'gloss'], 'float' => ['gloss', 'gloss']], ['gloss', 'decal', 'gloss']];
    }
}
