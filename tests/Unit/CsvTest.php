<?php

declare(strict_types=1);

namespace Tests\Unit;

use AmberStep\Core\Document\BadDocument;
use App\Csv\Csv;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What people and spreadsheets do to a table. */
final class CsvTest extends TestCase
{
    /** @param  list<list<string>>  $rows */
    #[DataProvider('texts')]
    public function test_a_table_is_read_as_it_was_meant(string $text, array $rows): void
    {
        self::assertSame($rows, Csv::read($text));
    }

    /** @return iterable<string, array{string, list<list<string>>}> */
    public static function texts(): iterable
    {
        yield 'commas' => ["a,b\n1,2\n", [['a', 'b'], ['1', '2']]];
        yield 'semicolons' => ["a;b\n1,5;2\n", [['a', 'b'], ['1,5', '2']]];
        yield 'a byte order mark' => ["\xEF\xBB\xBFa,b\n", [['a', 'b']]];
        yield 'quotes in quotes' => ["a\n\"say \"\"grey\"\"\"\n", [['a'], ['say "grey"']]];
        yield 'a line break in a cell' => ["a,b\n\"two\nlines\",x\n", [['a', 'b'], ["two\nlines", 'x']]];
        yield 'line ends of three kinds' => ["a,b\r\n1,2\r\n", [['a', 'b'], ['1', '2']]];
        yield 'a disarmed formula' => ["a\n'=1+1\n'-x\n", [['a'], ['=1+1'], ['-x']]];
        yield 'an apostrophe that is its own' => ["a\n'tis\n", [['a'], ["'tis"]]];
        yield 'empty lines' => ["a,b\n\n1,2\n", [['a', 'b'], ['1', '2']]];
        yield 'semicolons inside quotes do not count' => ["\"a;b;c\",d\n1,2\n", [['a;b;c', 'd'], ['1', '2']]];
    }

    public function test_numbers_are_not_taken_for_formulas(): void
    {
        self::assertSame("-1.5,+2,'=A1,'@x\r\n", Csv::write([['-1.5', '+2', '=A1', '@x']]));
    }

    #[DataProvider('broken')]
    public function test_a_broken_table_says_what_is_wrong(string $text): void
    {
        $this->expectException(BadDocument::class);
        Csv::read($text);
    }

    /** @return iterable<string, array{string}> */
    public static function broken(): iterable
    {
        yield 'a quote that does not close' => ["a\n\"half"];
        yield 'not UTF-8' => ["a\n\xFF\xFE"];
    }

    public function test_whatever_is_written_is_read_back_on_random_tables(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $bits = ['a', 'sea grey', ',', ';', '"', "'", '=', '+', '-', '@', "\n", "\r\n", ' ', 'ö', '1.5', "\t", '\\'];
        for ($i = 0; $i < 300; $i++) {
            $columns = $random->getInt(2, 5);
            $rows = [array_map(static fn (int $n): string => "c{$n}", range(1, $columns))];
            for ($r = $random->getInt(1, 4); $r > 0; $r--) {
                $rows[] = array_map(static fn (): string => implode('', array_map(static fn (): string => $bits[$random->getInt(0, count($bits) - 1)], range(1, $random->getInt(1, 6)))), range(1, $columns));
            }

            self::assertSame($rows, Csv::read(Csv::write($rows)), "table {$i}");
        }
    }
}
