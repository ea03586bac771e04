<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Kit;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Callout;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Holder;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Kit\KitOption;
use AmberStep\Core\Kit\Origin;
use AmberStep\Core\Kit\PaintedFace;
use AmberStep\Core\Kit\Removal;
use AmberStep\Core\Kit\ShowDemand;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Tests\Support\TypedBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What reading ahead adds to a kit: kept whole, refused with the place, edited and taken back. */
final class ReadAheadKitTest extends TestCase
{
    private const ID = '01T00000000000000000000900';

    public function test_it_goes_out_and_comes_in_the_same(): void
    {
        $kit = $this->full();
        $again = Kit::fromArray($kit->toArray());

        self::assertSame($kit->toArray(), $again->toArray());
        self::assertSame([], KitDiff::edits($kit, $again));
        self::assertTrue($again->noseWheel);
        self::assertSame([30, 24], [$again->owned(Holder::Stick), $again->owned(Holder::Clip)], 'as counted, else as usual');
        self::assertTrue($again->demands(ShowDemand::NoBase));
        self::assertFalse($again->demands(ShowDemand::KitOnly));
    }

    public function test_a_kit_from_before_has_none_of_it_and_means_so(): void
    {
        $array = array_diff_key($this->full()->toArray(), array_flip(['callouts', 'options', 'holders', 'showRules', 'outages', 'noseWheel']));
        $array['parts'] = array_map(static fn (array $p): array => array_diff_key($p, array_flip(['count', 'grip', 'origin', 'hollow', 'option'])), $array['parts']);
        $old = Kit::fromArray($array);

        self::assertSame([[], [], [], [], [], false], [$old->callouts, $old->options, $old->holders, $old->showRules, $old->outages, $old->noseWheel]);
        self::assertSame([1, null, Origin::Kit, false, null], [$old->parts[0]->count, $old->parts[0]->grip, $old->parts[0]->origin, $old->parts[0]->hollow, $old->parts[0]->option]);
    }

    /** @param  array<string, mixed>  $value */
    #[DataProvider('wrong')]
    public function test_what_makes_no_sense_is_refused_with_its_place(string $list, array $value, string $path, string $right): void
    {
        try {
            (new TypedBuild('hull, 60, sea grey'))->kit->apply([Edit::add($list, ['id' => self::ID, ...$value])]);
            self::fail('it was taken');
        } catch (BadDocument $bad) {
            self::assertSame($path, $bad->problems[0]->path);
            self::assertStringContainsString($right, $bad->problems[0]->right);
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        $callout = ['number' => 'A1', 'step' => 2];
        yield 'a call-out without a number' => ['callouts', ['step' => 2], 'callouts[0].number', '1 to 40'];
        yield 'a step beyond any booklet' => ['callouts', [...$callout, 'step' => 1000], 'callouts[0].step', '1 to 999'];
        yield 'a colour of another build' => ['callouts', [...$callout, 'colour' => '01T00000000000000000000901'], 'callouts[0].colour', 'a colour of this build'];
        yield 'a face nobody has' => ['callouts', [...$callout, 'faces' => ['belly']], 'callouts[0].faces', 'top, bottom, left'];
        yield 'faces that are no list' => ['callouts', [...$callout, 'faces' => 'left'], 'callouts[0].faces', 'top, bottom, left'];
        yield 'none of it' => ['callouts', [...$callout, 'count' => 0], 'callouts[0].count', '1 to 500'];
        yield 'an option without a choice' => ['callouts', [...$callout, 'option' => 'hatch'], 'callouts[0].option', 'canopy=open'];
        yield 'an option without a name' => ['options', ['name' => ''], 'options[0].name', '1 to 40'];
        yield 'a holder that is none' => ['holders', ['holder' => 'hand', 'owned' => 2], 'holders[0].holder', 'clip, peg, stick'];
        yield 'fewer than none' => ['holders', ['holder' => 'clip', 'owned' => -1], 'holders[0].owned', '0 to 10000'];
        yield 'a show that asks for gold' => ['showRules', ['demand' => 'gold'], 'showRules[0].demand', 'no-base, kit-only, photographs'];
        yield 'something else missing' => ['outages', ['missing' => 'hope', 'since' => '2026-03-02T18:00:00Z'], 'outages[0].missing', 'gun, can, part'];
        yield 'missing since whenever' => ['outages', ['missing' => 'gun', 'since' => 'monday'], 'outages[0].since', 'in UTC'];
        yield 'a field that is none' => ['holders', ['holder' => 'clip', 'owned' => 2, 'colour' => 'red'], 'holders[0].colour', 'use one of'];
    }

    public function test_edits_of_it_are_taken_back(): void
    {
        $kit = $this->full();
        foreach ([Edit::set('kit', '', 'noseWheel', false), Edit::remove('callouts', $kit->callouts[0]->id), Edit::set('options', $kit->options[0]->id, 'chosen', 'shut'), Edit::set('parts', $kit->parts[0]->id, 'count', 7)] as $edit) {
            [$after, $inverse] = $kit->applyWithInverse([$edit]);
            self::assertNotSame($kit->toArray(), $after->toArray());
            self::assertEqualsCanonicalizing(array_column($kit->toArray()['callouts'], 'id'), array_column($after->apply($inverse)->toArray()['callouts'], 'id'));
            self::assertSame([$kit->noseWheel, $kit->options[0]->chosen, $kit->parts[0]->count], [$after->apply($inverse)->noseWheel, $after->apply($inverse)->options[0]->chosen, $after->apply($inverse)->parts[0]->count]);
        }
    }

    public function test_a_colour_taken_out_takes_its_call_outs_along(): void
    {
        $build = new TypedBuild('', "2: A1 sea grey L\nA2 slate green S\nA3 bare");
        $build->edit(Removal::of($build->kit, 'colours', $build->colour('sea grey')));

        self::assertSame(['A2', 'A3'], array_map(static fn (Callout $c): string => $c->number, $build->kit->callouts));
    }

    public function test_a_half_face_takes_half_the_paint_and_more_of_a_number_takes_more(): void
    {
        $cm2 = static fn (array $faces, int $count): float => (new Callout(self::ID, 0, 1, 'A1', null, Size::L, $faces, $count))->cm2();

        self::assertSame([80.0, 40.0, 160.0, 80.0, 80.0], [$cm2([], 1), $cm2([PaintedFace::Half], 1), $cm2([], 2), $cm2([PaintedFace::Left, PaintedFace::Half], 2), $cm2([PaintedFace::Left], 1)]);
    }

    public function test_a_part_is_found_by_its_number_however_it_is_written(): void
    {
        $build = new TypedBuild("part hull, no A1\npart fin, no b4");

        self::assertSame(['hull', 'fin', null], [$build->kit->numbered('a1')?->name, $build->kit->numbered('B4')?->name, $build->kit->numbered('C1')?->name]);
        self::assertSame(['hatch', 'open'], KitOption::parts('hatch=open'));
        self::assertSame(['a', 'b=c'], KitOption::parts('a=b=c'));
    }

    private function full(): Kit
    {
        $build = new TypedBuild("part hull, no A1, x2, grip tab, added part, hollow, option hatch=open\nhull / side, 60, sea grey", "choose hatch = open\n2: A1 sea grey L left half x2 once together lets light option hatch=open called \"hull\"");
        $build->edit([
            Edit::set('kit', '', 'noseWheel', true),
            Edit::add('holders', ['id' => $build->newId(), 'holder' => 'stick', 'owned' => 30]),
            Edit::add('showRules', ['id' => $build->newId(), 'demand' => 'no-base']),
            Edit::add('outages', ['id' => $build->newId(), 'missing' => 'part', 'target' => $build->part('hull'), 'since' => '2026-03-02T18:00:00Z']),
        ]);

        return $build->kit;
    }
}
