<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Kit;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\EditOp;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Kit\Removal;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use AmberStep\Core\Tests\Support\RandomKit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What goes with a thing that is taken out, and how kits are told apart. */
final class RemovalTest extends TestCase
{
    /** @param  array<string, int>  $left  how many of each list are left */
    #[DataProvider('removals')]
    public function test_a_thing_takes_with_it_what_only_makes_sense_with_it(string $list, string $name, array $left): void
    {
        $build = $this->build();
        $after = $build->kit->apply(Removal::of($build->kit, $list, $build->id($name)))->toArray();

        self::assertSame($left, array_map(static fn (string $l): int => count($after[$l]), array_combine(array_keys($left), array_keys($left))));
    }

    /** @return iterable<string, array{string, string, array<string, int>}> */
    public static function removals(): iterable
    {
        yield 'an area takes its edges, pins and steps put in' => ['areas', 'upper', ['areas' => 3, 'edges' => 0, 'pins' => 1, 'inserted' => 1, 'parts' => 3]];
        yield 'a part takes its areas and joints' => ['parts', 'canopy', ['parts' => 2, 'areas' => 3, 'joints' => 1, 'edges' => 1]];
        yield 'a joint takes nothing' => ['joints', 'sill', ['joints' => 1, 'parts' => 3, 'areas' => 4]];
        yield 'a colour bares what has it' => ['colours', 'colour grey', ['colours' => 1, 'areas' => 4, 'edges' => 1]];
        yield 'an edge goes alone' => ['edges', 'edge 0', ['edges' => 0, 'areas' => 4]];
    }

    public function test_what_looked_through_or_was_hidden_by_it_lets_go(): void
    {
        $build = $this->build();
        $noPane = $build->kit->apply(Removal::of($build->kit, 'areas', $build->id('pane')));
        self::assertNull($noPane->areasById[$build->id('cockpit')]->seenThrough);
        $noCockpit = $build->kit->apply(Removal::of($build->kit, 'areas', $build->id('cockpit')));
        self::assertSame([], $noCockpit->jointsById[$build->id('sill')]->blocks);
        $noGrey = $build->kit->apply(Removal::of($build->kit, 'colours', $build->id('colour grey')));
        self::assertTrue($noGrey->areasById[$build->id('upper')]->intent->isClear());
    }

    public function test_taken_back_everything_is_there_again_on_random_kits(): void
    {
        $products = array_map(static fn (Product $p): string => $p->id, Paints::shelf(new Names)->products);
        for ($seed = 1; $seed <= 60; $seed++) {
            $kit = (new RandomKit($seed, $products))->kit();
            foreach (['areas', 'parts', 'joints', 'colours', 'edges'] as $list) {
                $thing = $kit->toArray()[$list][0] ?? null;
                if ($thing === null || ($list === 'parts' && count($kit->parts) === 1)) {
                    continue;
                }
                [$after, $inverse] = $kit->applyWithInverse(Removal::of($kit, $list, $thing['id']));
                self::assertCount(count($kit->toArray()[$list]) - 1, $after->toArray()[$list], "seed {$seed}, {$list}");
                self::assertSame([], KitDiff::edits($kit, $after->apply($inverse)), "seed {$seed}, {$list}");
            }
        }
    }

    public function test_nothing_is_taken_out_for_a_thing_that_is_not_there(): void
    {
        $build = $this->build();

        self::assertSame([], Removal::of($build->kit, 'areas', '01K00000000000000000009999'));
    }

    public function test_two_kits_are_told_apart_field_by_field(): void
    {
        $build = $this->build();
        $kit = $build->kit;
        $other = $kit->apply([
            Edit::set('areas', $build->id('upper'), 'name', 'top'), Edit::set('areas', $build->id('upper'), 'intent.sheen', 'gloss'), Edit::set('areas', $build->id('upper'), 'intent.decals', true),
            Edit::set('joints', $build->id('sill'), 'gapMm', 0.4), Edit::set('kit', '', 'name', 'Another'), Edit::set('kit', '', 'scale', 48),
        ]);
        $marks = array_map(static fn (Edit $e): string => $e->op->value.' '.$e->list.' '.$e->field, KitDiff::edits($kit, $other));

        self::assertSame(['set kit name', 'set kit scale', 'set joints gapMm', 'set areas name', 'set areas intent.decals', 'set areas intent.sheen'], $marks);
        self::assertSame([], KitDiff::edits($other, $kit->apply(KitDiff::edits($kit, $other))));
    }

    public function test_what_is_new_is_added_before_what_speaks_of_it(): void
    {
        $kit = $this->build()->kit;
        $empty = new Kit('A build', '', 72, $kit->zone, []);
        $edits = KitDiff::edits($empty, $kit);

        self::assertSame([EditOp::Add], array_values(array_unique(array_map(static fn (Edit $e): EditOp => $e->op, $edits), SORT_REGULAR)));
        self::assertSame(['colours', 'parts', 'joints', 'areas', 'edges', 'pins', 'inserted'], array_values(array_unique(array_map(static fn (Edit $e): string => $e->list, $edits))));
    }

    #[DataProvider('kitFields')]
    public function test_only_name_subject_and_scale_of_a_kit_are_set(string $field, mixed $value, bool $taken): void
    {
        $kit = $this->build()->kit;
        if (! $taken) {
            $this->expectException(BadDocument::class);
        }
        $after = $kit->apply([Edit::set('kit', '', $field, $value)]);

        self::assertEquals($value, $after->toArray()[$field]);
        self::assertSame(['op' => 'set', 'list' => 'kit', 'field' => $field, 'value' => $value], Edit::set('kit', '', $field, $value)->toArray());
    }

    /** @return iterable<string, array{string, mixed, bool}> */
    public static function kitFields(): iterable
    {
        yield 'name' => ['name', 'Tender', true];
        yield 'subject' => ['subject', 'Lighthouse tender', true];
        yield 'scale' => ['scale', 200.0, true];
        yield 'no name at all' => ['name', '', false];
        yield 'a scale of nothing' => ['scale', 0, false];
        yield 'zone' => ['zone', 'Europe/Oslo', false];
        yield 'areas' => ['areas', [], false];
    }

    private function build(): Build
    {
        return new Build(['kit' => [
            'parts' => ['hull' => 'styrene', 'wing' => 'styrene', 'canopy' => 'clear-styrene'], 'colours' => ['grey' => 'sea grey', 'dark' => 'interior dark'],
            'joints' => ['root' => ['parts' => ['hull', 'wing']], 'sill' => ['parts' => ['canopy', 'hull'], 'blocks' => ['cockpit']]],
            'areas' => ['upper' => ['part' => 'hull', 'colour' => 'grey'], 'lower' => ['part' => 'hull', 'colour' => 'grey'], 'pane' => ['part' => 'canopy', 'face' => 'pane'], 'cockpit' => ['part' => 'hull', 'colour' => 'dark', 'face' => 'inside', 'seenThrough' => null]],
            'edges' => [['upper', 'lower', 90, 'soft']],
            'pins' => [['operation' => 'colour', 'target' => 'upper', 'coats' => 3], ['operation' => 'prime', 'coats' => 3]],
            'inserted' => [['operation' => 'look', 'targets' => ['upper'], 'title' => 'Look'], ['operation' => 'look', 'targets' => ['lower'], 'title' => 'Look']],
        ]]);
    }
}
