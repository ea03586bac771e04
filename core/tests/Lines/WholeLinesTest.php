<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Lines;

use AmberStep\Core\Document\Nearest;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Lines\LinePrinter;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Lines\LineSplitter;
use AmberStep\Core\Lines\Phrase;
use AmberStep\Core\Lines\Reading;
use AmberStep\Core\Lines\Ref;
use AmberStep\Core\Lines\Vocabulary;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Lines as people write them: every word, every order, and what nobody meant. */
final class WholeLinesTest extends TestCase
{
    /** @param  list<string>  $printed */
    #[DataProvider('written')]
    public function test_what_is_typed_comes_out_in_the_same_words(string $typed, array $printed): void
    {
        $reading = self::read($typed);

        self::assertSame([], array_map(static fn ($l): string => $l->problems[0]->sentence(), $reading->unread()));
        self::assertSame($printed, explode("\n", trim(LinePrinter::text($reading->kit, Paints::shelf(new Names)))));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function written(): iterable
    {
        yield 'a part that is one area' => ['propeller, S, interior dark', ['colour interior dark = interior dark', 'part propeller, styrene', 'propeller / propeller, S, interior dark']];
        yield 'no spaces at all' => ['hull/top,84,sea grey,matt', ['colour sea grey = sea grey', 'part hull, styrene', 'hull / top, 84 cm², sea grey, matt']];
        yield 'other units' => ['hull / top, 2 in2, sea grey', ['colour sea grey = sea grey', 'part hull, styrene', 'hull / top, 12.9032 cm², sea grey']];
        yield 'words in another order' => ['hull / top, matt, decals, sea grey, bent, 84, wash', ['colour sea grey = sea grey', 'part hull, styrene', 'hull / top, 84 cm², bent, sea grey, decals, pin wash, matt']];
        yield 'capitals' => ['Hull / Top, 84, SEA GREY, Matt', ['colour SEA GREY = sea grey', 'part Hull, styrene', 'Hull / Top, 84 cm², SEA GREY, matt']];
        yield 'a metallic must match' => ['body, L, lacquer bronze, gloss', ['colour lacquer bronze = lacquer bronze, must match', 'part body, styrene', 'body / body, L, lacquer bronze, gloss']];
        yield 'an edge from either side is one edge' => ["hull / a, 9, sea grey, soft 90 to b\nhull / b, 9, slate green, hard 120 to a", ['colour sea grey = sea grey', 'colour slate green = slate green', 'part hull, styrene', 'hull / a, 9 cm², sea grey, hard 120 mm to b', 'hull / b, 9 cm², slate green']];
        yield 'an edge with everything' => ["hull / a, 9, sea grey, feathered 9 cm 1,5 wide compound subject sprayed to b\nhull / b, 9, slate green", ['colour sea grey = sea grey', 'colour slate green = slate green', 'part hull, styrene', 'hull / a, 9 cm², sea grey, feathered 90 mm 1.5 mm wide compound subject sprayed to b', 'hull / b, 9 cm², slate green']];
        yield 'a joint named by its parts' => ["hull + wing, seam, gap 12 thou, 90 mm\nhull, M, sea grey", ['colour sea grey = sea grey', 'part hull, styrene', 'part wing, styrene', 'hull / hull, M, sea grey', 'joint hull to wing: hull + wing, seam, thin cement, gap 0.3048 mm, 9 cm long']];
        yield 'a joint with everything' => ["hull / cockpit, S, interior dark, inside\nroot: hull + wing, line, after paint, epoxy, load, blocks hull / cockpit, fill water putty", ['colour interior dark = interior dark', 'part hull, styrene', 'part wing, styrene', 'hull / cockpit, S, inside, interior dark', 'joint root: hull + wing, after paint, epoxy, carries load, blocks hull / cockpit, fill water putty']];
        yield 'a part with everything' => ['part fin, PETG sheet, no B4, step 12, moulded sand, slot 3, hand left, fragile, stressed, lets light', ['part fin, PETG sheet, no B4, step 12, moulded #C8B084, slot "3", hand left, fragile, stressed, lets light']];
        yield 'a piece' => ["hull, M, sea grey\npiece hull = Hull and wing, held by a dowel, in the nose", ['colour sea grey = sea grey', 'part hull, styrene', 'hull / hull, M, sea grey', 'piece hull = Hull and wing, held by "a dowel, in the nose"']];
        yield 'names in quotes' => ['"float, port" / "a \\"b\\"", S, sea grey', ['colour sea grey = sea grey', 'part "float, port", styrene', '"float, port" / "a \\"b\\"", S, sea grey']];
        yield 'a second edge of the same two' => ["hull / a, 9, sea grey, soft 90 to b, also hard 12 to b\nhull / b, 9, slate green", ['colour sea grey = sea grey', 'colour slate green = slate green', 'part hull, styrene', 'hull / a, 9 cm², sea grey, soft 90 mm to b, also hard 12 mm to b', 'hull / b, 9 cm², slate green']];
    }

    public function test_every_word_is_understood_where_it_belongs(): void
    {
        foreach (array_keys(Vocabulary::area()) as $word) {
            $colour = $word === 'pane' ? '' : ', sea grey';
            self::assertSame([], self::read("hull / top, {$word}{$colour}")->unread(), "area: {$word}");
        }
        foreach (array_keys(Vocabulary::part()) as $word) {
            self::assertSame([], self::read("part fin, {$word}")->unread(), "part: {$word}");
        }
        foreach ([...array_keys(Vocabulary::joint()), ...array_map(static fn (string $f): string => "fill {$f}", array_keys(Vocabulary::fillers()))] as $word) {
            self::assertSame([], self::read("root: hull + fin, {$word}")->unread(), "joint: {$word}");
        }
    }

    public function test_no_word_means_two_things_on_one_line(): void
    {
        self::assertSame([], array_intersect(array_keys(Vocabulary::area()), array_keys(Vocabulary::part())));
        self::assertSame([], array_intersect(array_keys(Vocabulary::area()), Vocabulary::edges()));
    }

    public function test_whatever_is_typed_is_answered_and_marked_inside_its_line(): void
    {
        $random = new Randomizer(new Mt19937(99));
        $bits = ['hull', ' / ', '/', ',', ', ', '+', ' + ', ':', '=', '"', '\\', '~2', 'sea grey', 'soft', '240', 'mm', ' to ', 'upper', 'pane', 'part ', 'piece ', 'joint ', 'colour ', '1,250.5', '2,5', '#', ' ', 'no ', 'gap ', 'fill ', 'ö', '🛩', "\t", '²', '99999999999', '{01K00000000000000000000001}', "\u{202E}"];
        for ($i = 0; $i < 1500; $i++) {
            $text = implode('', array_map(static fn (): string => $bits[$random->getInt(0, count($bits) - 1)], range(1, $random->getInt(1, 14))));
            $reading = self::read("hull / upper, 9, sea grey\n{$text}");
            foreach ($reading->lines as $line) {
                foreach ([...$line->problems, ...$line->phrases] as $span) {
                    self::assertGreaterThanOrEqual(0, $span->start, $text);
                    self::assertLessThanOrEqual(mb_strlen($line->text), $span->start + $span->length, $text);
                }
                foreach ($line->problems as $problem) {
                    self::assertNotSame('', trim($problem->wrong) === '' ? '' : $problem->right, $text);
                }
            }
            self::assertSame([], self::read(LinePrinter::text($reading->kit, Paints::shelf(new Names)))->unread(), $text);
        }
    }

    public function test_more_lines_than_any_kit_are_cut_off(): void
    {
        self::assertCount(LineReader::MOST, self::read(str_repeat("# note\n", LineReader::MOST + 50))->lines);
    }

    public function test_line_ends_of_every_machine_end_lines(): void
    {
        foreach (["\n", "\r\n", "\r"] as $end) {
            self::assertCount(3, self::read("a, S, sea grey{$end}b, S, sea grey{$end}c, S, sea grey")->kit->areas);
        }
    }

    /** @param  list<string>  $phrases */
    #[DataProvider('lines')]
    public function test_a_line_is_taken_apart_at_its_commas(string $line, array $phrases): void
    {
        $found = LineSplitter::phrases($line);

        self::assertSame($phrases, array_map(static fn (Phrase $p): string => $p->text, $found));
        foreach ($found as $phrase) {
            self::assertSame($phrase->text, mb_substr($line, $phrase->start, $phrase->length), 'its place is where it stands');
        }
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function lines(): iterable
    {
        yield 'plain' => ['hull, 84, sea grey', ['hull', '84', 'sea grey']];
        yield 'a decimal comma' => ['hull, 2,5, grey', ['hull', '2,5', 'grey']];
        yield 'a comma behind a number and a letter' => ['hull,84,grey', ['hull', '84', 'grey']];
        yield 'quotes' => ['"a, b", c', ['"a, b"', 'c']];
        yield 'an escaped quote' => ['"a\\", b", c', ['"a\\", b"', 'c']];
        yield 'empty phrases' => [' , hull ,, grey , ', ['hull', 'grey']];
        yield 'nothing' => ['   ', []];
        yield 'letters beyond ASCII' => ['Größe, ö', ['Größe', 'ö']];
    }

    #[DataProvider('names')]
    public function test_a_name_reads_back_as_itself(string $name, int $nth, string $written): void
    {
        $ref = new Ref($name, $nth);
        $back = Ref::read(new Phrase($ref->text(), 0, mb_strlen($ref->text())), 'a thing');

        self::assertSame($written, $ref->text());
        self::assertSame([$name, $nth], [$back->name, $back->nth]);
    }

    /** @return iterable<string, array{string, int, string}> */
    public static function names(): iterable
    {
        yield 'plain' => ['upper hull', 1, 'upper hull'];
        yield 'the second of it' => ['float', 2, 'float ~2'];
        yield 'a comma' => ['float, port', 1, '"float, port"'];
        yield 'a quote' => ['the "big" one', 1, '"the \\"big\\" one"'];
        yield 'a word of the line' => ['matt', 1, '"matt"'];
        yield 'a number' => ['12', 3, '"12" ~3'];
        yield 'two spaces' => ['two  gaps', 1, '"two  gaps"'];
        yield 'a tilde of its own' => ['x ~2', 1, '"x ~2"'];
    }

    public function test_the_nearest_word_is_near(): void
    {
        self::assertSame('matt', Nearest::to('mat', ['gloss', 'matt', 'satin']));
        self::assertSame('sea grey', Nearest::to('See Gray', ['slate green', 'sea grey']));
        self::assertNull(Nearest::to('helicopter', ['gloss', 'matt']));
        self::assertNull(Nearest::to(str_repeat('x', 300), ['matt']));
    }

    private static function read(string $text): Reading
    {
        $ids = 0;

        return LineReader::read($text, new Kit('K', '', 72, new DateTimeZone('UTC'), []), Paints::shelf(new Names), static function () use (&$ids): string {
            return sprintf('01Z0000000%016d', ++$ids);
        });
    }
}
