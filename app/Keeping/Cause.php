<?php

declare(strict_types=1);

namespace App\Keeping;

/** Why a copy was made. */
enum Cause: string
{
    case Day = 'day';
    case Replace = 'replace';
    case Upgrade = 'upgrade';
    case Shelf = 'shelf';
    case Demo = 'demo';
    case Restore = 'restore';
    case Asked = 'asked';

    public function words(): string
    {
        return match ($this) {
            self::Day => 'first start of the day',
            self::Replace => 'before a build was replaced',
            self::Upgrade => 'before the file was brought up to date',
            self::Shelf => 'before a table of paints came in',
            self::Demo => 'before the demo was made fresh',
            self::Restore => 'before a copy was brought back',
            self::Asked => 'you asked for it',
        };
    }
}
