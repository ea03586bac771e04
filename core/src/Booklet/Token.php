<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Lines\Phrase;

/** Takes a call-out apart at spaces and commas; what stands in quotes is one. */
final class Token
{
    /** @return list<Phrase> */
    public static function all(Phrase $phrase): array
    {
        $tokens = [];
        preg_match_all('/"(?:[^"\\\\]|\\\\.)*"?|[^\s,"]+/u', $phrase->text, $found, PREG_OFFSET_CAPTURE);
        foreach ($found[0] as [$text, $byte]) {
            $tokens[] = new Phrase($text, $phrase->start + mb_strlen(substr($phrase->text, 0, $byte)), mb_strlen($text));
        }

        return $tokens;
    }

    /**
     * Tokens as the stretch of the line they cover.
     *
     * @param  non-empty-list<Phrase>  $tokens
     */
    public static function join(array $tokens): Phrase
    {
        $last = $tokens[count($tokens) - 1];

        return new Phrase(implode(' ', array_map(static fn (Phrase $t): string => $t->text, $tokens)), $tokens[0]->start, $last->start + $last->length - $tokens[0]->start);
    }

    /** Whether it looks like the number of a part: B4, 17, AB12c. */
    public static function isNumber(string $text): bool
    {
        return preg_match('/\A[A-Za-z]{0,3}\d{1,3}[a-z]?\z/', $text) === 1 && preg_match('/\Ax\d+\z/i', $text) !== 1;
    }

    /**
     * B4 is itself; B4-B7 or B4-7 are four.
     *
     * @return list<string> upper case; none where it is no number
     */
    public static function numbers(string $text): array
    {
        if (preg_match('/\A([A-Za-z]{0,3})(\d{1,3})[-–]([A-Za-z]{0,3})(\d{1,3})\z/u', $text, $m) === 1) {
            $same = $m[3] === '' || strcasecmp($m[1], $m[3]) === 0;
            $many = (int) $m[4] - (int) $m[2];

            return $same && $many > 0 && $many < 60 ? array_map(static fn (int $n): string => strtoupper($m[1]).$n, range((int) $m[2], (int) $m[4])) : [];
        }

        return self::isNumber($text) ? [strtoupper(substr($text, 0, -1)).substr($text, -1)] : [];
    }
}
