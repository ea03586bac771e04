<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

use DateTimeImmutable;
use DateTimeZone;

/** Instants are UTC in every document and epoch seconds in every computation. */
final class Instant
{
    public static function parse(string $text): ?int
    {
        if (preg_match('/\A(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d):(\d\d)Z\z/', $text, $m) !== 1) {
            return null;
        }
        if (! checkdate((int) $m[2], (int) $m[3], (int) $m[1]) || (int) $m[4] > 23 || (int) $m[5] > 59 || (int) $m[6] > 59) {
            return null;
        }

        $epoch = gmmktime((int) $m[4], (int) $m[5], (int) $m[6], (int) $m[2], (int) $m[3], (int) $m[1]);

        return $epoch === false ? null : $epoch;
    }

    public static function format(int $epoch): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', $epoch);
    }

    /** Wall time for sentences: "22:30", with the day in front when it is not the day of $now. */
    public static function wall(int $epoch, int $nowEpoch, DateTimeZone $zone): string
    {
        $at = (new DateTimeImmutable('@'.$epoch))->setTimezone($zone);
        $now = (new DateTimeImmutable('@'.$nowEpoch))->setTimezone($zone);
        if ($at->format('Y-m-d') === $now->format('Y-m-d')) {
            return $at->format('H:i');
        }

        return abs($epoch - $nowEpoch) < 6 * 86400 ? $at->format('D H:i') : $at->format('j M H:i');
    }
}
