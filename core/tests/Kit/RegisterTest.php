<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Kit;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Flaw;
use AmberStep\Core\Kit\FlawKind;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Parking;
use AmberStep\Core\Kit\Removal;
use AmberStep\Core\Lines\Cell;
use AmberStep\Core\Lines\LinePrinter;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Tests\Support\TypedBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Flaws and features as part of the kit: kept, edited, typed, struck out with their part, refused where they make no sense. */
final class RegisterTest extends TestCase
{
    private const FLAW = '01T00000000000000000000900';

    private const FEATURE = '01T00000000000000000000910';

    private TypedBuild $build;

    protected function setUp(): void
    {
        $this->build = new TypedBuild("hull, 60, sea grey\nfin, 9, sea grey\nfin + hull, before paint");
        $this->build->edit([
            Edit::add('flaws', ['id' => self::FLAW, 'position' => 3, 'kind' => 'ejector', 'part' => $this->build->part('fin'), 'where' => 'aft', 'widthMm' => 0.5, 'depthMm' => 0.2, 'lengthMm' => 4, 'access' => 'tight', 'crossed' => true, 'filler' => 'epoxy-putty', 'foundAt' => 'primer']),
            Edit::add('features', ['id' => self::FEATURE, 'kind' => 'weld', 'part' => $this->build->part('fin')]),
        ]);
    }

    public function test_they_come_out_as_they_went_in(): void
    {
        self::assertEquals($this->build->kit, Kit::fromArray($this->build->kit->toArray()));
        self::assertSame(['ejector mark aft', 'weld seam on fin'], [$this->build->kit->flaws[0]->name($this->build->kit), $this->build->kit->features[0]->name($this->build->kit)]);
        self::assertSame('primer', $this->build->kit->flaws[0]->toArray()['foundAt']);
    }

    public function test_edits_have_an_inverse(): void
    {
        [$after, $back] = $this->build->kit->applyWithInverse([Edit::set('flaws', self::FLAW, 'access', 'none'), Edit::remove('features', self::FEATURE), Edit::set('flaws', self::FLAW, 'kind', 'sink')]);

        self::assertSame([FlawKind::Sink, []], [$after->flaws[0]->kind, $after->features]);
        self::assertEquals($this->build->kit->flaws, $after->apply($back)->flaws);
        self::assertEquals($this->build->kit->features, $after->apply($back)->features);
    }

    public function test_they_go_with_their_part_and_stay_when_the_kit_is_typed_anew(): void
    {
        $fin = $this->build->part('fin');
        $without = $this->build->kit->apply(Removal::of($this->build->kit, 'parts', $fin));
        self::assertSame([[], []], [$without->flaws, $without->features]);

        $reading = LineReader::read(LinePrinter::text($this->build->kit, $this->build->shelf), $this->build->kit, $this->build->shelf, $this->build->newId(...), true);
        self::assertEquals($this->build->kit->flaws, $reading->kit->flaws);

        $this->build->edit([Edit::add('options', ['id' => $this->build->newId(), 'name' => 'fin', 'chosen' => 'short']), Edit::set('parts', $fin, 'option', 'fin=tall')]);
        self::assertSame([[], []], [Parking::active($this->build->kit)->flaws, Parking::active($this->build->kit)->features], 'parked with their part');
    }

    /** @param  array<string, mixed>  $wrong */
    #[DataProvider('wrong')]
    public function test_what_makes_no_sense_is_refused_with_its_place(string $list, array $wrong, string $path, string $says): void
    {
        try {
            $this->build->kit->apply([Edit::add($list, ['id' => '01T00000000000000000000999', 'kind' => 'gap', 'part' => $this->build->part('fin'), ...$wrong])]);
            self::fail('it was taken');
        } catch (BadDocument $bad) {
            self::assertStringContainsString($path, $bad->getMessage());
            self::assertStringContainsString($says, $bad->getMessage());
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'a part of another kit' => ['flaws', ['part' => '01T00000000000000000000998'], 'flaws[1].part', 'name a part of this kit'];
        yield 'a kind nobody knows' => ['flaws', ['kind' => 'hole'], 'flaws[1].kind', 'ejector'];
        yield 'wider than a missing part' => ['flaws', ['widthMm' => 21], 'flaws[1].widthMm', '20'];
        yield 'less than nothing' => ['flaws', ['depthMm' => -0.1], 'flaws[1].depthMm', '0'];
        yield 'longer than any model' => ['flaws', ['lengthMm' => 2001], 'flaws[1].lengthMm', '2000'];
        yield 'no way to get at it' => ['flaws', ['access' => 'maybe'], 'flaws[1].access', 'tight'];
        yield 'found where nothing is found' => ['flaws', ['foundAt' => 'later'], 'flaws[1].foundAt', 'primer'];
        yield 'a field too many' => ['flaws', ['colour' => 'red'], 'flaws[1].colour', ''];
        yield 'the same id twice' => ['flaws', ['id' => self::FLAW], 'flaws', 'give a new id'];
        yield 'a feature on no part' => ['features', ['kind' => 'weld', 'part' => '01T00000000000000000000998'], 'features[1].part', 'name a part of this kit'];
        yield 'a feature that is a flaw' => ['features', ['kind' => 'gap'], 'features[1].kind', 'rivets'];
    }

    #[DataProvider('typed')]
    public function test_measures_are_typed_as_they_are_read_off(string $field, string $typed, float|string|null $kept, string $says = ''): void
    {
        try {
            $kit = $this->build->kit->apply(Cell::edits($this->build->kit, $this->build->shelf, 'flaws', self::FLAW, $field, $typed, $this->build->newId(...)));
            self::assertSame($kept, $kit->flaws[0]->toArray()[$field]);
        } catch (BadDocument $bad) {
            self::assertNull($kept, $bad->getMessage());
            self::assertStringContainsString($says, $bad->getMessage());
        }
    }

    /** @return iterable<string, array{0: string, 1: string, 2: float|string|null, 3?: string}> */
    public static function typed(): iterable
    {
        yield 'a point' => ['widthMm', '0.9', 0.9];
        yield 'a comma' => ['widthMm', '0,9 mm', 0.9];
        yield 'thou' => ['depthMm', '35 thou', 0.889];
        yield 'inches' => ['depthMm', '0.01 in', 0.254];
        yield 'centimetres' => ['lengthMm', '1.5 cm', 15.0];
        yield 'emptied' => ['widthMm', '', 0.0];
        yield 'words' => ['where', 'roof, left', 'roof, left'];
        yield 'no length' => ['widthMm', 'wide', null, 'write it as 0.9 mm or 35 thou'];
        yield 'an area' => ['widthMm', '3 cm2', null, 'is no length'];
        yield 'two readings' => ['lengthMm', '1,250', null, 'can be read two ways'];
        yield 'below nothing' => ['widthMm', '-1', null, 'is no length'];
        yield 'a million' => ['lengthMm', '1000000', null, 'give up to 2000 mm'];
        yield 'too wide' => ['widthMm', '900 thou', null, '22.86 mm is more than there is'];
        yield 'what is not typed' => ['kind', 'sink', null, 'cannot be typed'];
    }

    public function test_a_verdict_says_what_of_and_accepting_says_why(): void
    {
        $event = static fn (array $more): Event => Event::fromArray(['id' => self::FLAW, 'kind' => 'verdict', 'at' => '2026-03-02T19:00:00Z', ...$more]);
        self::assertSame('nail', $event(['verdict' => 'good', 'targets' => [self::FLAW], 'purpose' => 'nail'])->purpose);
        foreach ([['verdict' => 'good'], ['verdict' => 'accept', 'targets' => [self::FLAW]], ['verdict' => 'accept', 'targets' => [self::FLAW], 'note' => ' ']] as $wrong) {
            try {
                $event($wrong);
                self::fail('it was taken');
            } catch (BadDocument $bad) {
                self::assertMatchesRegularExpression('/name the joint or the flaw|give the reason/', $bad->getMessage());
            }
        }
    }

    public function test_each_kind_has_words_and_a_first_grit(): void
    {
        foreach (FlawKind::cases() as $kind) {
            $flaw = new Flaw(self::FLAW, 0, $kind, $this->build->part('fin'));
            self::assertSame("{$kind->word()} on fin", $flaw->name($this->build->kit));
            self::assertContains($kind->startGrit(), ['P240', 'P400']);
        }
        self::assertSame(['P240', 'P400'], [FlawKind::Gate->startGrit(), FlawKind::Gap->startGrit()], 'handbook 2: file marks and gates, filler');
    }
}
