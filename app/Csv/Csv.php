<?php

declare(strict_types=1);

namespace App\Csv;

use AmberStep\Core\Document\BadDocument;

/** Tables as text: comma or semicolon found by looking, a byte order mark taken, formulas disarmed. */
final class Csv
{
    private const MOST_ROWS = 20000;

    /** What a spreadsheet would take for a formula, unless it is a number. */
    private const FORMULA = ['=', '+', '-', '@', "\t"];

    /** @param  list<list<string>>  $rows */
    public static function write(array $rows): string
    {
        $lines = array_map(static fn (array $row): string => implode(',', array_map(self::cell(...), $row)), $rows);

        return implode("\r\n", $lines)."\r\n";
    }

    /**
     * @return list<list<string>>
     *
     * @throws BadDocument where quotes do not close, or it is no text
     */
    public static function read(string $text): array
    {
        $text = str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw BadDocument::at('csv', 'is not UTF-8', 'save the table as CSV, UTF-8');
        }
        if (substr_count($text, '"') % 2 === 1) {
            throw BadDocument::at('csv', 'has a quote that does not close', 'put a " at both ends of the cell, and "" for one inside');
        }
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            return [];
        }
        fwrite($stream, $text);
        rewind($stream);
        $rows = [];
        $separator = self::separator($text);
        while (($row = fgetcsv($stream, null, $separator, '"', '')) !== false) {
            if ($row !== [null]) {
                $rows[] = array_map(static fn (?string $cell): string => self::unquoted($cell ?? ''), $row);
            }
            if (count($rows) > self::MOST_ROWS) {
                throw BadDocument::at('csv', 'has more than '.self::MOST_ROWS.' rows', 'send it in parts');
            }
        }
        fclose($stream);

        return $rows;
    }

    /** Semicolons where the first line has more of them than commas, outside quotes. */
    private static function separator(string $text): string
    {
        $head = (string) preg_replace('/"[^"]*"/', '', explode("\n", $text, 2)[0]);

        return substr_count($head, ';') > substr_count($head, ',') ? ';' : ',';
    }

    private static function cell(string $cell): string
    {
        // White space before it does not keep a spreadsheet from taking it for one.
        $head = ltrim($cell)[0] ?? '';
        if ((in_array($head, self::FORMULA, true) || in_array($cell[0] ?? '', ["'", "\t"], true)) && ! is_numeric($cell)) {
            $cell = "'".$cell;
        }

        return preg_match('/[",;\r\n]/', $cell) === 1 || $cell !== trim($cell) ? '"'.str_replace('"', '""', $cell).'"' : $cell;
    }

    private static function unquoted(string $cell): string
    {
        return strlen($cell) > 1 && $cell[0] === "'" && (in_array(ltrim(substr($cell, 1))[0] ?? '', self::FORMULA, true) || in_array($cell[1], ["'", "\t"], true)) ? substr($cell, 1) : $cell;
    }
}
