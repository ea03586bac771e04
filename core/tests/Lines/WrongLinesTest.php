<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Lines;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Lines\LinePrinter;
use AmberStep\Core\Lines\LineProblem;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Lines\Reading;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was not read is marked where it stands, with what would be right; nothing of a wrong line is taken in. */
final class WrongLinesTest extends TestCase
{
    private const GOOD = "hull / upper A, 84, sea grey\nhull / upper B, 61, slate green\nwing / upper B, 20, sea grey";

    #[DataProvider('wrong')]
    public function test_a_wrong_line_says_what_would_be_right(string $line, string $marked, string $wrong, string $right): void
    {
        $reading = self::read(self::GOOD."\n".$line);
        $unread = $reading->unread();

        self::assertCount(1, $unread, "\"{$line}\" was taken in");
        $problem = $unread[0]->problems[0];
        self::assertStringContainsString($wrong, $problem->wrong);
        self::assertStringContainsString($right, $problem->right);
        self::assertSame($marked, mb_substr($line, $problem->start, $problem->length), 'the mark is on the phrase');
        self::assertStringEndsWith('.', $problem->sentence());
        $shelf = Paints::shelf(new Names);
        self::assertSame(LinePrinter::text(self::read(self::GOOD)->kit, $shelf), LinePrinter::text($reading->kit, $shelf), 'nothing of it is taken in');
    }

    public function test_what_is_proposed_for_a_thing_glued_on_can_be_written_so(): void
    {
        $problem = self::read("hull / upper A, 84, sea grey\nmirror, XS, sea grey, attach to hull")->unread()[0]->problems[0];
        self::assertSame(1, preg_match('/"([^"]+)"/', $problem->right, $m));

        $reading = self::read("hull / upper A, 84, sea grey\nmirror, XS, sea grey\n".($m[1] ?? ''));

        self::assertSame([], $reading->unread());
        self::assertSame('superglue', $reading->kit->joints[0]->glue?->value);
    }

    public function test_a_material_is_read_as_one_also_where_it_begins_like_an_edge(): void
    {
        $reading = self::read('tyre, S, sea grey, soft vinyl');

        self::assertSame([], $reading->unread());
        self::assertSame('soft-vinyl', $reading->kit->parts[0]->substrate->value);
    }

    /** @return iterable<string, array{string, string, string, string}> line, what is marked, part of what is wrong, part of what would be right */
    public static function wrong(): iterable
    {
        $cases = [
            ['hull / upper C, sea gray', 'sea gray', 'not understood', 'did you mean sea grey'],
            ['hull / upper C, M, sea grey, slate green', 'slate green', 'sea grey stands before it', '"on slate green"'],
            ['hull / upper C, M, sea grey and slate green', 'sea grey and slate green', 'one colour', 'sea grey, on slate green'],
            ['hull / upper C, M, sea grey/slate green', 'sea grey/slate green', 'one colour', 'two lines'],
            ['hull / upper C, M, ground red', 'ground red', 'is no paint', '"on red"'],
            ['mirror, XS, sea grey, attach to wing', 'attach to wing', 'is a joint', '"mirror to wing: mirror + wing, line, after paint, superglue"'],
            ['aerial, XS, glued to hull with epoxy', 'glued to hull with epoxy', 'is a joint', 'after paint, epoxy"'],
            ['hull / upper C, decal', 'decal', 'not understood', 'did you mean decals'],
            ['hull / upper C, mat', 'mat', 'not understood', 'did you mean matt'],
            ['hull / upper C, 1,250.5', '1,250.5', 'two ways', '1250.5 or 1.2505'],
            ['hull / upper C, 1.250,5', '1.250,5', 'two ways', '1250.5 or 1.2505'],
            ['hull / upper C, 1,250', '1,250', 'two ways', '1250 or 1.250'],
            ['hull / upper C, 84 kg', '84 kg', 'not a unit', '84 cm²'],
            ['hull / upper C, 1.2.3', '1.2.3', 'not a number', '2.5 or 2,5'],
            ['hull / upper C, 0', '0', 'no size', 'XS to XL'],
            ['hull / upper C, 999999', '999999', 'no size', '100000'],
            ['hull / upper C, on seagrene', 'on seagrene', 'no colour or paint', 'add the paint first'],
            ['hull / upper C, preshade nothing at all', 'preshade nothing at all', 'no colour or paint', 'on the shelf'],
            ['hull / upper C, inside gren', 'inside gren', 'no colour or paint', 'paint'],
            ['hull / upper C, soft', 'soft', 'edge to what', 'soft 240 mm to upper B'],
            ['hull / upper C, soft to upper A', 'soft to upper A', 'no length', 'soft 240 mm'],
            ['hull / upper C, hard 40 mm', 'hard 40 mm', 'leads nowhere', 'other side'],
            ['hull / upper C, hard 40 to upper D', 'hard 40 to upper D', 'no area "upper D"', 'did you mean upper'],
            ['hull / upper C, hard 40 to upper C', 'hard 40 to upper C', 'no edge to itself', 'other side'],
            ['tail / fin, hard 40 to upper B', 'hard 40 to upper B', 'the name of 2 areas', 'on which part'],
            ['hull / upper C, hard 40 to fuselage / upper B', 'hard 40 to fuselage / upper B', 'no part "fuselage"', 'name a part'],
            ['hull / upper C, hard 0 to upper A', 'hard 0 to upper A', 'no length of an edge', '0.1'],
            ['hull / upper C, soft 40 90 wide to upper A', 'soft 40 90 wide to upper A', 'wider than any', 'up to 50 mm'],
            ['hull / upper C, seen through glass', 'seen through glass', 'no area "glass"', 'line of its own'],
            ['canopy / panes, 8, pane, sea grey', 'canopy / panes, 8, pane, sea grey', 'a pane has no colour', 'leave the colour out'],
            ['hull /', 'hull /', 'has no name', 'name it'],
            ['/ upper C, M', '/ upper C', 'has no name', 'name it'],
            ['hull / "upper C, M', 'hull / "upper C, M', 'do not close', 'one " before and one after'],
            ['hull ~4 / upper, M', 'hull ~4 / upper', 'before number 4', 'count up'],
            ['deck', 'deck', 'nothing but a name', 'size and a colour'],
            ['matt, sea grey', 'matt', 'a word of its own', 'part and the area'],
            ['12: B4 B5 sea grey', '12: B4 B5 sea grey', 'a word of its own', 'part and the area'],
            ['part fin, wood', 'wood', 'not understood', 'made of'],
            ['part fin, step zero', 'step zero', 'not a step', 'whole number from 1 to 999'],
            ['part fin, moulded purplish', 'moulded purplish', 'not a moulded colour', '#C9C9C6'],
            ['part fin, hand on the left side', 'hand on the left side', 'longer than 10', 'shorter'],
            ['root: hull + hull, seam', 'root: hull + hull', 'no joint with itself', 'other part'],
            ['root: hull + wing + tail', 'root: hull + wing + tail', 'not three', 'a line for each'],
            ['joint root', 'joint root', 'of two parts', 'hull + wing'],
            ['root: hull + wing, gap wide', 'gap wide', 'not the width of a gap', 'gap 0.3 mm'],
            ['root: hull + wing, gap 30', 'gap 30', 'a missing part', 'up to 20 mm'],
            ['root: hull + wing, 40 mm2', '40 mm2', 'not the length', '18 cm long'],
            ['root: hull + wing, fill butter', 'fill butter', 'not a filler', 'solvent putty'],
            ['root: hull + wing, thin cemnt', 'thin cemnt', 'not understood', 'did you mean thin cement'],
            ['root: hull + wing, blocks cockpit', 'blocks cockpit', 'no area "cockpit"', 'line of its own'],
            ['colour roof = garden blue', 'colour roof = garden blue', 'no paint on the shelf', 'add the paint first'],
            ['colour roof = sea grey, musst match', 'musst match', 'not understood', 'did you mean must match'],
            ['piece bow = Bow', 'bow', 'no part "bow"', 'oldest part'],
            ['piece hull = Hull, painted red', 'painted red', 'not understood', 'held by a peg'],
        ];
        foreach ($cases as $case) {
            yield $case[0] => $case;
        }
    }

    #[DataProvider('wrong')]
    public function test_a_word_offered_instead_is_understood_in_its_place(string $line, string $marked, string $wrong, string $right): void
    {
        $problem = self::read(self::GOOD."\n".$line)->unread()[0]->problems[0];
        if (preg_match('/^did you mean ([^,;?]+)/', $problem->right, $offered) !== 1) {
            self::assertStringNotContainsString('did you mean', $problem->right, 'an offer stands first');

            return;
        }
        $instead = str_contains($marked, ' to ') ? preg_replace('/ to .*$/', ' to '.$offered[1], $marked) : $offered[1];

        self::assertSame([], self::read(self::GOOD."\n".str_replace($marked, (string) $instead, $line))->unread(), "\"{$instead}\" was offered");
    }

    #[DataProvider('putRight')]
    public function test_a_line_put_right_as_it_was_told_is_taken_in(string $line): void
    {
        self::assertSame([], array_map(static fn (LineProblem $p): string => $p->sentence(), array_merge(...array_map(static fn ($l): array => $l->problems, self::read(self::GOOD."\n".$line)->unread()))));
    }

    /** @return iterable<string, array{string}> the wrong lines above, put right by what their sentences say */
    public static function putRight(): iterable
    {
        $lines = [
            'hull / upper C, 1250.5', 'hull / upper C, 1.2505', 'hull / upper C, 1.250', 'hull / upper C, 84 cm²', 'hull / upper C, 2,5', 'hull / upper C, XL', 'hull / upper C, 100000',
            'hull / upper C, soft 240 mm to upper A', 'hull / upper C, hard 0.1 to upper A', 'hull / upper C, soft 40 50 wide to upper A',
            'tail / fin, hard 40 to hull / upper B', "hull / upper C, seen through wing / panes\nwing / panes, 8, pane", 'canopy / panes, 8, pane', 'hull / "upper C", M', 'hull ~2 / upper, M',
            'deck, M, sea grey', 'hull / upper C, matt, sea grey', 'part fin, resin', 'part fin, step 1', 'part fin, step 999', 'part fin, moulded #C9C9C6', 'part fin, hand left',
            'root: hull + wing, seam', 'joint root: hull + wing', 'root: hull + wing, gap 0.3 mm', 'root: hull + wing, gap 20', 'root: hull + wing, 18 cm long', 'root: hull + wing, fill solvent putty',
            'root: hull + wing, blocks upper A', 'colour roof = sea grey', 'piece hull = Hull, held by a peg',
        ];
        foreach ($lines as $line) {
            yield str_replace("\n", ' and ', $line) => [$line];
        }
    }

    public function test_what_the_kit_as_a_whole_refuses_stands_on_the_line_about_it_in_its_words(): void
    {
        $reading = self::read("hull / upper A, 84, sea grey\nhull / upper C, seen through upper A\nhull / upper B, 61, slate green");

        self::assertSame(2, $reading->unread()[0]->number);
        self::assertSame('Upper C: seen through is not a pane: name an area whose face is "pane".', $reading->unread()[0]->problems[0]->sentence());
        self::assertSame(['upper A', 'upper B'], array_map(static fn ($a): string => $a->name, $reading->kit->areas), 'the others are read');
    }

    public function test_a_line_that_needs_a_wrong_one_says_so(): void
    {
        $reading = self::read("hull / upper C, sea gray\nhull / upper D, 9, sea grey, hard 20 to upper C");

        self::assertCount(2, $reading->unread());
        self::assertStringContainsString('no area "upper C"', $reading->unread()[1]->problems[0]->wrong);
        self::assertSame([], $reading->kit->areas);
    }

    public function test_a_name_two_paints_share_asks_which(): void
    {
        $names = new Names;
        $shelf = new Shelf([
            Product::fromArray(['id' => $names->id('a'), 'name' => 'White', 'range' => 'Linnet', 'family' => 'water-acrylic', 'role' => 'colour']),
            Product::fromArray(['id' => $names->id('b'), 'name' => 'White', 'range' => 'Garnock', 'family' => 'lacquer', 'role' => 'colour']),
        ]);
        $kit = new Kit('K', '', 72, new DateTimeZone('UTC'), []);
        $id = fn (): string => $names->id('made '.random_int(1, PHP_INT_MAX));

        self::assertStringContainsString('Linnet White or Garnock White', LineReader::read('hull, M, white', $kit, $shelf, $id)->unread()[0]->problems[0]->right);
        self::assertSame([], LineReader::read('hull, M, garnock white', $kit, $shelf, $id)->unread());
    }

    public function test_what_was_read_is_said_phrase_by_phrase(): void
    {
        $line = self::read('deck house/roof, 2,5, sea grey, on ground white, pre-shade interior dark, pin wash, satin, brass')->lines[0];

        self::assertSame(['2.5 cm²', 'colour sea grey', 'on a ground of ground white', 'pre-shaded with interior dark', 'pin wash', 'satin', 'brass'], array_map(static fn ($p): string => $p->meaning, $line->phrases));
        self::assertSame(['area', 'roof on deck house', '#7C96A3', true], [$line->about, $line->title, $line->swatch, $line->isNew]);
    }

    public function test_notes_and_empty_lines_say_nothing_and_a_pane_makes_its_part_clear(): void
    {
        $reading = self::read("# from the booklet\n\n   \ncanopy / panes, 8, pane\nhood / glass, PETG, 4, pane");

        self::assertSame(['note', null, null, 'area', 'area'], array_map(static fn ($l): ?string => $l->about, $reading->lines));
        self::assertSame(['clear-styrene', 'petg'], array_map(static fn ($p): string => $p->substrate->value, $reading->kit->parts));
        self::assertSame(2, $reading->understood());
    }

    /** @param  float|null  $number  null where it is refused */
    #[DataProvider('numbers')]
    public function test_numbers_as_people_type_them(string $text, ?float $number): void
    {
        if ($number === null) {
            $this->expectException(NotRead::class);
        }
        self::assertSame($number, TypedNumber::read($text));
    }

    /** @return iterable<string, array{string, float|null}> */
    public static function numbers(): iterable
    {
        foreach (['2,5' => 2.5, '2.5' => 2.5, '84' => 84.0, '0,125' => 0.125, '1.250' => 1.25, '12,75' => 12.75, '1,250' => null, '1,250.5' => null, '1.250,5' => null, '-3' => null, '1e3' => null, '' => null, '2..5' => null] as $text => $number) {
            yield "\"{$text}\"" => [(string) $text, $number];
        }
    }

    /** @param  array{float, string}|null  $read */
    #[DataProvider('lengths')]
    public function test_units_are_turned_into_ours(string $text, ?array $read): void
    {
        self::assertEquals($read, TypedNumber::length($text));
    }

    /** @return iterable<string, array{string, array{float, string}|null}> */
    public static function lengths(): iterable
    {
        yield 'mm unsaid' => ['240 to upper B', [240.0, 'to upper B']];
        yield 'cm' => ['18 cm', [180.0, '']];
        yield 'inch' => ['2 in', [50.8, '']];
        yield 'thou' => ['40 thou', [1.016, '']];
        yield 'no number' => ['wide', null];
        yield 'a word that begins like a unit' => ['3 minor', [3.0, 'minor']];
    }

    private static function read(string $text): Reading
    {
        $ids = 0;

        return LineReader::read($text, new Kit('K', '', 72, new DateTimeZone('UTC'), []), Paints::shelf(new Names), static function () use (&$ids): string {
            return sprintf('01Z0000000%016d', ++$ids);
        });
    }
}
