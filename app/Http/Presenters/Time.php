<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Document\Instant;

/** Instants go out in UTC; the web picks by the clock. */
final class Time
{
    public static function utc(?int $epoch): ?string
    {
        return $epoch === null ? null : Instant::format($epoch);
    }
}
