<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

use AmberStep\Core\Document\BadDocument;

/** Colours with names, in the open palette format that painting programs read: a head line, then three numbers and a name a line. */
final class Palette
{
    private const MOST = 1000;

    /** @param  list<array{string, string}>  $colours  name, and #RRGGBB */
    public static function write(string $name, array $colours): string
    {
        $lines = ['GIMP Palette', 'Name: '.self::oneLine($name), 'Columns: 4', '#'];
        foreach ($colours as [$called, $hex]) {
            $lines[] = sprintf('%3d %3d %3d  %s', hexdec(substr($hex, 1, 2)), hexdec(substr($hex, 3, 2)), hexdec(substr($hex, 5, 2)), self::oneLine($called));
        }

        return implode("\n", $lines)."\n";
    }

    /**
     * @return list<array{name: string, hex: string}>
     *
     * @throws BadDocument naming the line that cannot be read
     */
    public static function read(string $text): array
    {
        $lines = preg_split('/\r\n|\r|\n/', preg_replace('/\A\xEF\xBB\xBF/', '', $text) ?? '');
        $lines = $lines === false ? [] : $lines;
        if (trim($lines[0] ?? '') !== 'GIMP Palette') {
            throw BadDocument::at('line 1', 'is not the head of a palette', 'give a .gpl file, whose first line is "GIMP Palette"');
        }
        $colours = [];
        foreach (array_slice($lines, 1) as $i => $line) {
            if (trim($line) === '' || preg_match('/\A\s*(?:#|Name:|Columns:)/', $line) === 1) {
                continue;
            }
            if (preg_match('/\A\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?\z/u', $line, $m) !== 1 || max((int) $m[1], (int) $m[2], (int) $m[3]) > 255) {
                throw BadDocument::at('line '.($i + 2), 'is no colour', 'write three numbers from 0 to 255 and a name, such as 124 150 163 sea grey');
            }
            $hex = sprintf('#%02X%02X%02X', (int) $m[1], (int) $m[2], (int) $m[3]);
            $name = trim($m[4] ?? '');
            $colours[] = ['name' => mb_substr($name === '' ? $hex : $name, 0, 120), 'hex' => $hex];
            if (count($colours) > self::MOST) {
                throw BadDocument::at('line '.($i + 2), 'is more than '.self::MOST.' colours', 'give a smaller palette');
            }
        }

        return $colours;
    }

    private static function oneLine(string $text): string
    {
        return trim((string) preg_replace('/[\r\n\t]+/', ' ', $text));
    }
}
