<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

/** What was most likely meant: the nearest of the known words. */
final class Nearest
{
    /**
     * @param  iterable<string>  $known
     * @return string|null the nearest within a third of its length; null where none is near
     */
    public static function to(string $word, iterable $known): ?string
    {
        $best = null;
        $least = max(1, intdiv(mb_strlen($word), 3)) + 1;
        foreach ($known as $candidate) {
            if (strlen($candidate) > 200 || strlen($word) > 200) {
                continue;
            }
            $distance = levenshtein(mb_strtolower($word), mb_strtolower($candidate));
            if ($distance < $least) {
                [$best, $least] = [$candidate, $distance];
            }
        }

        return $best;
    }
}
