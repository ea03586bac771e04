<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Colour;

use AmberStep\Core\Colour\Palette;
use AmberStep\Core\Document\BadDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Palettes go out and come in as they were; what is none says which line. */
final class PaletteTest extends TestCase
{
    public function test_what_is_written_is_read_again(): void
    {
        $text = Palette::write("Shear\nwater", [['sea grey', '#7C96A3'], ['Ärmel, weiß', '#F5F5F0'], ["two\nlines", '#000000']]);

        self::assertStringStartsWith("GIMP Palette\nName: Shear water\n", $text);
        self::assertSame([['name' => 'sea grey', 'hex' => '#7C96A3'], ['name' => 'Ärmel, weiß', 'hex' => '#F5F5F0'], ['name' => 'two lines', 'hex' => '#000000']], Palette::read($text));
    }

    public function test_others_ways_of_writing_are_read(): void
    {
        self::assertSame([['name' => '#0102FF', 'hex' => '#0102FF'], ['name' => 'with tabs', 'hex' => '#FFFFFF']], Palette::read("\xEF\xBB\xBFGIMP Palette\r\n#\r\nColumns: 2\r\n  1   2 255\r\n255\t255\t255\twith tabs\r\n\r\n"));
        self::assertSame([], Palette::read('GIMP Palette'));
    }

    #[DataProvider('wrong')]
    public function test_what_is_no_palette_says_which_line(string $text, string $line): void
    {
        try {
            Palette::read($text);
            self::fail('it was read');
        } catch (BadDocument $bad) {
            self::assertStringStartsWith($line, $bad->getMessage());
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrong(): iterable
    {
        yield 'nothing' => ['', 'line 1: is not the head'];
        yield 'a table' => ["name,hex\ngrey,#7C96A3", 'line 1: is not the head'];
        yield 'too bright' => ["GIMP Palette\n256 0 0 red", 'line 2: is no colour'];
        yield 'too few' => ["GIMP Palette\nName: x\n1 2", 'line 3: is no colour'];
        yield 'too many' => ["GIMP Palette\n".str_repeat("1 2 3\n", 1001), 'line 1002: is more than'];
    }
}
