<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Booklet;

use AmberStep\Core\Booklet\BookletPrinter;
use AmberStep\Core\Booklet\BookletReader;
use AmberStep\Core\Booklet\BringIn;
use AmberStep\Core\Kit\Callout;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Kit\PaintedFace;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Lines\ReadLine;
use AmberStep\Core\Tests\Support\TypedBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The booklet as it is called out: read, printed, read again. */
final class BookletReaderTest extends TestCase
{
    public function test_step_codes_and_numbers_are_remembered_and_the_rest_is_in_any_order(): void
    {
        $build = new TypedBuild('', "M = sea grey\n12: B4 B5 M M x2\nC1-C3 left slate green XS half called \"mirror base\"\n7: a9 M L once together lets light option hatch=open\nD1 clear S\nD2 bare");
        $said = array_map(static fn (Callout $c): array => [$c->step, $c->number, $build->kit->colour($c->colour)->name ?? ($c->clear ? 'clear' : 'bare'), $c->size->value, $c->count], $build->kit->callouts);

        self::assertSame([[12, 'B4', 'sea grey', 'M', 2], [12, 'B5', 'sea grey', 'M', 2], [12, 'C1', 'slate green', 'XS', 1], [12, 'C2', 'slate green', 'XS', 1], [12, 'C3', 'slate green', 'XS', 1], [7, 'A9', 'sea grey', 'L', 1], [7, 'D1', 'clear', 'S', 1], [7, 'D2', 'bare', 'M', 1]], $said);
        self::assertSame([PaintedFace::Left, PaintedFace::Half], $build->kit->callouts[2]->faces);
        self::assertSame(['mirror base', true, true, 'hatch=open'], [$build->kit->callouts[2]->name, $build->kit->callouts[5]->onceTogether, $build->kit->callouts[5]->letsLight, $build->kit->callouts[5]->option]);
        self::assertSame('hatch', $build->kit->options[0]->name);
        self::assertNull($build->kit->options[0]->chosen);
    }

    public function test_a_letter_is_a_code_where_one_is_defined_and_a_size_after_a_colour(): void
    {
        $build = new TypedBuild('', "S = sea grey\nL = slate green\n1: A1 S S\nA2 L\nA3 pale grey L\nA4 L L");

        self::assertSame([['sea grey', 'S'], ['slate green', 'M'], ['pale grey', 'L'], ['slate green', 'L']], array_map(static fn (Callout $c): array => [$build->kit->colour($c->colour)->name ?? '', $c->size->value], $build->kit->callouts));
    }

    public function test_a_gluing_makes_the_joint_and_what_it_closes_over(): void
    {
        $build = new TypedBuild('', "3: A1 A2 sea grey L\nA3 interior dark M inside\n4: A1 + A2, seam, slow cement, closes over A3, no pins\nA2 + A9");
        [$hull, $other] = $build->kit->joints;
        self::assertSame(4, $hull->step);

        self::assertSame(['A1 to A2', 'slow-cement', true, false], [$hull->name, $hull->glue->value, $hull->isSeam(), $hull->pins]);
        self::assertSame([$build->area('A3 inside')], $hull->blocks);
        self::assertSame($build->part('A9'), $other->parts[1]);
        self::assertSame(4, $build->kit->partsById[$build->part('A9')]->bookletStep);
    }

    public function test_what_is_called_out_can_be_brought_in_once(): void
    {
        $build = new TypedBuild("part Wheel, no B1\nWheel / hub, 12, sea grey", "3: B1 sea grey S x14\nB1 interior dark S rim x14\nB2 clear XS x2\nB3 bare");
        $build->edit(BringIn::edits($build->kit, $build->kit->callouts, $build->newId(...)));

        self::assertSame([], BringIn::edits($build->kit, $build->kit->callouts, $build->newId(...)), 'all of it is there');
        self::assertSame(['hub', 'Wheel rim', 'panes'], array_map(static fn ($a): string => $a->name, $build->kit->areas));
        self::assertSame(70.0, $build->kit->areasById[$build->area('Wheel rim')]->measuredCm2);
        self::assertTrue($build->kit->partsById[$build->part('B2')]->isClear());
        self::assertSame(['Wheel', 'B2', 'B3'], array_map(static fn ($p): string => $p->name, $build->kit->parts), 'what stays bare is a part without an area');
    }

    #[DataProvider('wrong')]
    public function test_a_wrong_line_says_what_would_be_right(string $line, string $wrong, string $right): void
    {
        $build = new TypedBuild('', '5: Z1 sea grey');
        $reading = BookletReader::read($line, $build->kit, $build->shelf, $build->newId(...));
        $problem = $reading->lines[0]->problems[0] ?? null;

        self::assertNotNull($problem, "\"{$line}\" was read as {$reading->lines[0]->title}");
        self::assertStringContainsStringIgnoringCase($wrong, $problem->sentence());
        self::assertStringContainsString($right, $problem->sentence());
        self::assertSame([], KitDiff::edits($build->kit, $reading->kit), 'a wrong line changes nothing');
        self::assertGreaterThanOrEqual($problem->start + $problem->length, mb_strlen($line));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function wrong(): iterable
    {
        $cases = [
            ['12:', 'Nothing follows the step', '12: B4 B5 sea grey M'], ['0: B4 sea grey', '0 is not a step', '1 to 999'], ['1000: B4 sea grey', '1000 is not a step', '1 to 999'],
            ['sea grey M', 'names no part', 'part numbers'], ['12: B4 see grey', '"see grey" is no code', 'did you mean sea grey'], ['12: B4 mauve of dawn', 'is no code, no colour and no paint', 'H8 = sea grey'],
            ['12: B4', 'names no colour', 'or bare, or clear'], ['12: B4 sea grey x0', '0 is not how many', 'x14'], ['12: B4 sea grey x501', '501 is not how many', '1 to 500'],
            ['12: B4 sea grey option', 'does not say which', 'option canopy=open'], ['12: B4 sea grey option hatch', 'does not say which', 'option canopy=open'], ['12: B4 sea grey called', 'No name follows', 'mirror base'],
            ['H8 = fog', 'no colour and no paint is called "fog"', 'a paint on the shelf'], ['H8 =', 'no paint follows the code', 'H8 = sea grey'], ['a long code here = sea grey', 'is not a code', 'up to 12 characters'], ['choose hatch', 'A choice says what is built', 'choose canopy = open'],
            ['choose hatch =', 'A choice says what is built', 'choose canopy = open'], ['4: A1 + A1', 'no joint with itself', 'name the other part'], ['4: A1 + A2, glued', 'not understood of a gluing', 'seam, a glue'],
            ['4: A1 + A2, seem', 'not understood of a gluing', 'did you mean seam'], ['4: A1 + A2, closes over B9', 'nothing was called out on B9', 'call its colour out first'], ['4: A1 + A2, closes over there', 'names no part', 'closes over A3'],
            ['4: A1 + wing', 'no part "wing"', 'A1 + A2'], ['12: B4 "sea grey', 'do not close', 'one " before and one after'], ['12: B4-B2 sea grey', 'names no part', 'part numbers'],
        ];
        foreach ($cases as $case) {
            yield $case[0] => $case;
        }
    }

    public function test_the_first_line_needs_a_step_and_a_line_is_not_said_twice(): void
    {
        $empty = new TypedBuild('');
        $reading = BookletReader::read("B4 sea grey\n3: B4 sea grey\nB4 sea grey", $empty->kit, $empty->shelf, $empty->newId(...));

        self::assertSame(['No step was named yet: begin with the step of the booklet, such as 12: B4 sea grey.', null, 'Line 2 says this already: write x2 if there are two.'], array_map(static fn (ReadLine $l): ?string => isset($l->problems[0]) ? $l->problems[0]->sentence() : null, $reading->lines));
        self::assertCount(1, $reading->kit->callouts);
    }

    public function test_printed_and_read_again_it_is_the_same_booklet(): void
    {
        $random = new Randomizer(new Mt19937(11));
        for ($i = 0; $i < 120; $i++) {
            $build = new TypedBuild("colour left grey = sea grey\ncolour \"M\" = slate green, code M\ncolour dark = interior dark, code H8\ncolour \"x2, half\" = pale grey");
            $callouts = $this->random($random, $build);
            $kit = Kit::fromArray([...$build->kit->toArray(), 'callouts' => array_map(static fn (Callout $c): array => $c->toArray(), $callouts)]);
            $text = BookletPrinter::text($kit, $build->shelf);
            $reading = BookletReader::read($text, $kit, $build->shelf, $build->newId(...), true);

            self::assertSame([], array_map(static fn (ReadLine $l): string => $l->text.': '.$l->problems[0]->sentence(), $reading->unread()), $text);
            $options = array_filter(KitDiff::edits($kit, $reading->kit), static fn ($e): bool => $e->list !== 'options');
            self::assertSame([], array_map(static fn ($e): array => $e->toArray(), $options), $text);
        }
    }

    /** @return list<Callout> no two of which say the same */
    private function random(Randomizer $random, TypedBuild $build): array
    {
        $one = static fn (array $of): mixed => $of[$random->getInt(0, count($of) - 1)];
        $callouts = [];
        foreach (range(1, $random->getInt(1, 9)) as $i) {
            $colour = $one([null, ...$build->kit->colours]);
            $faces = array_values(array_filter(PaintedFace::cases(), static fn (): bool => $random->getInt(1, 8) === 1));
            $callouts[] = new Callout($build->newId(), $i, $random->getInt(1, 40), $one(['A', 'B', 'CD', '']).$i, $colour?->id, $one(Size::cases()), $faces, $one([1, 1, 2, 14]), $one([null, null, 'mirror base', 'a "b", c', 'two  lines']), $colour === null && $random->getInt(0, 1) === 1, $random->getInt(1, 4) === 1, $random->getInt(1, 4) === 1, $one([null, null, 'hatch=open', 'a b=c d']));
        }

        return $callouts;
    }
}
