<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

/** Every thing has a ULID, never made of its name. Core makes none itself: it has no clock and no chance. */
final class Id
{
    /** Stands where an id could not be read. */
    public const NONE = '00000000000000000000000000';

    public static function isValid(string $text): bool
    {
        return preg_match('/\A[0-7][0-9A-HJKMNP-TV-Z]{25}\z/', $text) === 1;
    }

    /** The same id for the same facts, so that a fix made twice from one plan is one fix. Not made of any name. */
    public static function from(string ...$facts): string
    {
        $bits = hash('sha256', implode("\0", $facts), true);
        $id = '7';
        for ($i = 0; $i < 25; $i++) {
            $id .= '0123456789ABCDEFGHJKMNPQRSTVWXYZ'[ord($bits[$i]) & 31];
        }

        return $id;
    }
}
