<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

/**
 * Takes a line apart at its commas. A comma between two digits without a space is a decimal comma, and
 * nothing inside double quotes separates.
 */
final class LineSplitter
{
    /** @return list<Phrase> the head first; empty phrases are left out */
    public static function phrases(string $line): array
    {
        $phrases = [];
        $characters = mb_str_split($line);
        $from = 0;
        foreach (self::outside($characters) as $i => $character) {
            if ($character === ',' && ! (ctype_digit($characters[$i - 1] ?? '') && ctype_digit($characters[$i + 1] ?? ''))) {
                self::add($phrases, $characters, $from, $i);
                $from = $i + 1;
            }
        }
        self::add($phrases, $characters, $from, count($characters));

        return $phrases;
    }

    /**
     * Takes a phrase apart at the first of some marks that stands outside quotes.
     *
     * @return array{Phrase, Phrase}|null
     */
    public static function cut(Phrase $phrase, string $mark): ?array
    {
        $characters = mb_str_split($phrase->text);
        foreach (self::outside($characters) as $i => $character) {
            if ($character === $mark) {
                $left = rtrim(mb_substr($phrase->text, 0, $i));

                return [new Phrase($left, $phrase->start, mb_strlen($left)), $phrase->after($i + 1)];
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $characters
     * @return iterable<int, string> those outside quotes
     */
    private static function outside(array $characters): iterable
    {
        $quoted = false;
        for ($i = 0, $n = count($characters); $i < $n; $i++) {
            if ($quoted && $characters[$i] === '\\') {
                $i++;
            } elseif ($characters[$i] === '"') {
                $quoted = ! $quoted;
            } elseif (! $quoted) {
                yield $i => $characters[$i];
            }
        }
    }

    /**
     * @param  list<Phrase>  $phrases
     * @param  list<string>  $characters
     */
    private static function add(array &$phrases, array $characters, int $from, int $until): void
    {
        while ($from < $until && trim($characters[$from]) === '') {
            $from++;
        }
        while ($until > $from && trim($characters[$until - 1]) === '') {
            $until--;
        }
        if ($until > $from) {
            $phrases[] = new Phrase(implode('', array_slice($characters, $from, $until - $from)), $from, $until - $from);
        }
    }
}
