<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

/** Numbers as people type them: 2,5 and 2.5 are the same; what can be read two ways is asked about. */
final class TypedNumber
{
    private const LENGTHS = ['mm' => 1.0, 'cm' => 10.0, 'm' => 1000.0, 'in' => 25.4, '"' => 25.4, 'thou' => 0.0254];

    private const AREAS = ['cm2' => 1.0, 'cm²' => 1.0, 'mm2' => 0.01, 'mm²' => 0.01, 'in2' => 6.4516, 'in²' => 6.4516, 'sq in' => 6.4516];

    /** @throws NotRead naming both readings, or saying what a number looks like */
    public static function read(string $text): float
    {
        if (preg_match('/\A\d{1,9}(?:[.,]\d{1,12})?\z/', $text) !== 1) {
            if (preg_match('/\A(\d{1,3})([.,])(\d{3})([.,])(\d+)\z/', $text, $m) === 1 && $m[2] !== $m[4]) {
                throw new NotRead("\"{$text}\" can be read two ways", "write {$m[1]}{$m[3]}.{$m[5]} or {$m[1]}.{$m[3]}{$m[5]}");
            }
            throw new NotRead("\"{$text}\" is not a number", 'write it as 84, 2.5 or 2,5');
        }
        if (preg_match('/\A([1-9]\d{0,2}),(\d{3})\z/', $text, $m) === 1) {
            throw new NotRead("\"{$text}\" can be read two ways", "write {$m[1]}{$m[2]} or {$m[1]}.{$m[2]}");
        }

        return (float) str_replace(',', '.', $text);
    }

    /**
     * A length at the front of a text.
     *
     * @return array{float, string}|null mm and the rest; null where the text does not begin with a number
     */
    public static function length(string $text): ?array
    {
        return self::withUnit($text, self::LENGTHS, 'mm');
    }

    /** @return array{float, string}|null cm and the rest */
    public static function lengthCm(string $text): ?array
    {
        return self::withUnit($text, array_map(static fn (float $mm): float => $mm / 10, self::LENGTHS), 'cm');
    }

    /** @return array{float, string}|null cm² and the rest */
    public static function area(string $text): ?array
    {
        return self::withUnit($text, self::AREAS, 'cm²');
    }

    /** The shortest text that reads back as the same number. */
    public static function text(float $number): string
    {
        return (string) json_encode($number);
    }

    /**
     * @param  array<string, float>  $units
     * @return array{float, string}|null
     */
    private static function withUnit(string $text, array $units, string $unsaid): ?array
    {
        if (preg_match('/\A([\d.,]+)\s*(.*)\z/us', $text, $m) !== 1) {
            return null;
        }
        $number = self::read(rtrim($m[1], '.,'));
        foreach ($units as $unit => $factor) {
            if (preg_match('/\A'.preg_quote($unit, '/').'(?![\p{L}\d²])\s*(.*)\z/usi', $m[2], $rest) === 1) {
                // A number in the unit it is kept in stays as it was typed.
                return [$factor === 1.0 ? $number : round($number * $factor, 6), $rest[1]];
            }
        }

        return [$number * $units[$unsaid], $m[2]];
    }
}
