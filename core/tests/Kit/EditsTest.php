<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Kit;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\HouseBook;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Removal;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The closed set of edits: what each changes, what takes it back, and what it may not do. */
final class EditsTest extends TestCase
{
    private static function build(): Build
    {
        return new Build(['kit' => ['parts' => ['hull' => 'styrene', 'wing' => 'styrene'], 'joints' => ['root' => ['parts' => ['hull', 'wing'], 'glue' => 'epoxy']], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey'], 'tip' => ['part' => 'wing', 'colour' => 'grey']], 'edges' => [], 'pieces' => ['hull' => 'Hull']]]);
    }

    /**
     * @param  callable(Build): Edit  $edit
     * @param  callable(\AmberStep\Core\Kit\Kit, Build): mixed  $look
     */
    #[DataProvider('edits')]
    public function test_an_edit_changes_one_thing_and_its_inverse_changes_it_back(callable $edit, callable $look, mixed $after): void
    {
        $build = self::build();
        $before = $look($build->kit, $build);
        [$changed, $inverse] = $build->kit->applyWithInverse([$edit($build)]);

        self::assertNotEquals($before, $after);
        self::assertEquals($after, $look($changed, $build));
        self::assertEquals($before, $look($changed->apply($inverse), $build));
        self::assertEquals($build->kit->toArray(), $changed->apply($inverse)->toArray());
    }

    /** @return iterable<string, array{callable, callable, mixed}> */
    public static function edits(): iterable
    {
        yield 'a name' => [static fn (Build $b): Edit => Edit::set('areas', $b->id('side'), 'name', 'flank'), static fn ($k, Build $b) => $k->areasById[$b->id('side')]->name, 'flank'];
        yield 'a size' => [static fn (Build $b): Edit => Edit::set('areas', $b->id('side'), 'cm2', 12.5), static fn ($k, Build $b) => $k->areasById[$b->id('side')]->cm2(), 12.5];
        yield 'a size letter' => [static fn (Build $b): Edit => Edit::set('areas', $b->id('side'), 'size', 'XL'), static fn ($k, Build $b) => $k->areasById[$b->id('side')]->cm2(), 250.0];
        yield 'a field of an intent' => [static fn (Build $b): Edit => Edit::set('areas', $b->id('side'), 'intent.decals', true), static fn ($k, Build $b) => $k->areasById[$b->id('side')]->intent->decals, true];
        yield 'a glue' => [static fn (Build $b): Edit => Edit::set('joints', $b->id('root'), 'glue', 'superglue'), static fn ($k, Build $b) => $k->jointsById[$b->id('root')]->glue->value, 'superglue'];
        yield 'must match' => [static fn (Build $b): Edit => Edit::set('colours', $b->id('colour grey'), 'mustMatch', true), static fn ($k, Build $b) => $k->coloursById[$b->id('colour grey')]->mustMatch, true];
        yield 'how it is held' => [static fn (Build $b): Edit => Edit::set('pieces', $b->id('hull'), 'heldBy', 'dowel'), static fn ($k, Build $b) => $k->labelsById[$b->id('hull')]->heldBy, 'dowel'];
        yield 'a part' => [static fn (Build $b): Edit => Edit::set('parts', $b->id('wing'), 'fragile', true), static fn ($k, Build $b) => $k->partsById[$b->id('wing')]->fragile, true];
        yield 'a position' => [static fn (Build $b): Edit => Edit::house('panes', 'mask-first'), static fn ($k) => $k->house->position('panes'), 'mask-first'];
        yield 'a pin' => [static fn (): Edit => Edit::add('pins', ['id' => Id::from('p'), 'operation' => 'prime', 'coats' => 3]), static fn ($k) => count($k->pins), 1];
        yield 'an area gone' => [static fn (Build $b): Edit => Edit::remove('areas', $b->id('tip')), static fn ($k) => count($k->areas), 1];
    }

    public function test_edits_of_one_change_build_on_each_other(): void
    {
        $build = self::build();
        $part = Id::from('new part');
        $kit = $build->kit->apply([
            Edit::add('parts', ['id' => $part, 'name' => 'mast', 'substrate' => 'brass']),
            Edit::add('areas', ['id' => Id::from('new area'), 'part' => $part, 'name' => 'mast', 'intent' => ['colour' => $build->id('colour grey')]]),
        ]);

        self::assertCount(3, $kit->areas);
    }

    /** @param  callable(Build): list<Edit>  $edits */
    #[DataProvider('wrong')]
    public function test_an_edit_that_cannot_be_carried_out_changes_nothing(callable $edits, string $said): void
    {
        $build = self::build();
        $before = $build->kit->toArray();
        try {
            $build->kit->apply($edits($build));
            self::fail('it was carried out');
        } catch (BadDocument $bad) {
            self::assertStringContainsString($said, $bad->getMessage());
        }
        self::assertSame($before, $build->kit->toArray());
    }

    /** @return iterable<string, array{callable, string}> */
    public static function wrong(): iterable
    {
        yield 'no such list' => [static fn (Build $b): array => [Edit::set('wings', $b->id('side'), 'name', 'x')], 'is not a list of the kit'];
        yield 'no such thing' => [static fn (): array => [Edit::set('areas', Id::from('nobody'), 'name', 'x')], 'holds no'];
        yield 'no such field' => [static fn (Build $b): array => [Edit::set('areas', $b->id('side'), 'shade', 'x')], 'is not a field that can be set'];
        yield 'no such field inside' => [static fn (Build $b): array => [Edit::set('areas', $b->id('side'), 'intent.shade', 'x')], 'is not a field that can be set'];
        yield 'the id' => [static fn (Build $b): array => [Edit::set('areas', $b->id('side'), 'id', Id::from('y'))], 'is not a field that can be set'];
        yield 'a wrong value' => [static fn (Build $b): array => [Edit::set('areas', $b->id('side'), 'curve', 'wavy')], 'which is not known'];
        yield 'a thing twice' => [static fn (Build $b): array => [Edit::add('parts', $b->kit->parts[0]->toArray())], 'already holds'];
        yield 'a part that is still needed' => [static fn (Build $b): array => [Edit::remove('parts', $b->id('hull'))], 'which is not in the kit'];
        yield 'the second of two' => [static fn (Build $b): array => [Edit::set('areas', $b->id('side'), 'name', 'fine'), Edit::remove('areas', Id::from('nobody'))], 'holds no'];
        yield 'no position on it' => [static fn (): array => [Edit::house('primer', 'perhaps')], 'is no position'];
        yield 'no such question' => [static fn (): array => [Edit::house('music', 'loud')], 'is not a field here'];
    }

    public function test_edits_are_data(): void
    {
        $build = self::build();
        $edits = [Edit::set('areas', $build->id('side'), 'name', 'x'), Edit::add('pins', ['id' => Id::from('p'), 'operation' => 'prime']), Edit::remove('areas', $build->id('tip')), Edit::house('primer', null)];
        $again = Edit::listFrom(json_decode((string) json_encode(array_map(static fn (Edit $e): array => $e->toArray(), $edits)), true));

        self::assertEquals($edits, $again);
        self::assertSame(['areas/'.$build->id('side').'/name', 'pins/'.Id::from('p'), 'areas/'.$build->id('tip'), 'house/primer'], array_map(static fn (Edit $e): string => $e->mark(), $again));
    }

    public function test_a_list_of_edits_is_not_empty_and_not_anything(): void
    {
        foreach ([null, [], 'x', [['op' => 'fly', 'list' => 'areas']], [['op' => 'set', 'list' => 'areas']], [[]]] as $wrong) {
            try {
                Edit::listFrom($wrong);
                self::fail('it was taken: '.json_encode($wrong));
            } catch (BadDocument $bad) {
                self::assertStringStartsWith('edits', $bad->problems[0]->path);
            }
        }
    }

    public function test_house_rules_of_a_build_go_on_top_of_the_users(): void
    {
        $user = new HouseRules(['primer' => 'never', 'wash' => 'enamel']);
        $both = $user->with(new HouseRules(['primer' => 'always']));

        self::assertSame(['always', 'enamel', 'until-clean'], array_map($both->position(...), ['primer', 'wash', 'inspection']));
        foreach (HouseBook::questions() as $question => $about) {
            self::assertSame($about->positions[0]->id, (new HouseRules)->position($question));
            self::assertGreaterThan(1, count($about->positions), $question);
        }
    }

    public function test_what_steers_by_a_thing_that_is_not_there_is_refused_with_the_nearest(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey']]]]);
        [$hull, $grey, $nobody] = [$build->id('hull'), $build->id('grey'), Id::from('nobody')];
        foreach ([
            'edits[0].value.target' => ['pins', ['operation' => 'gloss', 'target' => $nobody], 'name areas'],
            'edits[0].value.first' => ['orders', ['first' => "{$hull}/coulour/{$grey}/1", 'then' => "{$hull}/prime/all/1"], 'the nearest is colour'],
            'edits[0].value.then' => ['orders', ['first' => "{$hull}/prime/all/1", 'then' => "{$nobody}/colour/{$grey}/1"], 'a step of the plan'],
            'edits[0].value.step' => ['notBefore', ['step' => 'soon', 'at' => '2026-03-04T19:00:00Z'], 'a step of the plan'],
        ] as $path => [$list, $thing, $right]) {
            try {
                $build->kit->apply([Edit::add($list, ['id' => Id::from('it'), ...$thing])]);
                self::fail("{$path} was taken");
            } catch (BadDocument $bad) {
                self::assertSame($path, $bad->problems[0]->path);
                self::assertStringContainsString($right, $bad->problems[0]->right);
            }
        }
        $taken = $build->kit->apply([Edit::add('orders', ['id' => Id::from('it'), 'first' => "{$hull}/prime/all/1", 'then' => "{$hull}/colour/{$grey}/1"]), Edit::add('notBefore', ['id' => Id::from('then'), 'step' => Id::from('a gun').'/rinse/gun/1', 'at' => '2026-03-04T19:00:00Z'])]);
        self::assertCount(2, [...$taken->orders, ...$taken->notBefore], 'what is there is taken');
    }

    public function test_areas_are_named_on_a_photograph_of_their_piece_and_go_with_it(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey'], 'roof' => ['part' => 'hull', 'colour' => 'grey']]]]);
        $photo = static fn (string $area): array => ['id' => Id::from('photo'), 'target' => $build->id('hull'), 'hash' => str_repeat('a', 64), 'marks' => [['x' => 0.25, 'y' => 0.5, 'area' => $area], ['x' => 0.75, 'y' => 0.5]]];
        $kit = $build->kit->apply([Edit::add('photos', $photo($build->id('side')))]);

        self::assertSame($photo($build->id('side')), Kit::fromArray($kit->toArray())->photos[0]->toArray(), 'a mark without an area stays as it was');
        $without = $kit->apply(Removal::of($kit, 'areas', $build->id('side')));
        self::assertSame([['x' => 0.75, 'y' => 0.5]], $without->photos[0]->toArray()['marks']);
        self::assertSame([], $kit->apply(Removal::of($kit, 'parts', $build->id('hull')))->photos);
        try {
            $build->kit->apply([Edit::add('photos', $photo(Id::from('nobody')))]);
            self::fail('it was taken');
        } catch (BadDocument $bad) {
            self::assertStringStartsWith('photos[0].marks', $bad->problems[0]->path);
        }
    }
}
