<?php

declare(strict_types=1);

namespace App\Clock;

use AmberStep\Core\Document\BadDocument;
use DateTimeZone;

/** The zone of the bench, where a build says nothing else (AMBER_ZONE). */
final class BenchZone
{
    /** @throws BadDocument where there is no such zone on this machine */
    public static function zone(): DateTimeZone
    {
        return new DateTimeZone(self::name());
    }

    /** @throws BadDocument where there is no such zone on this machine */
    public static function name(): string
    {
        $name = config('app.bench_zone');
        $name = is_string($name) ? $name : '';
        try {
            return (new DateTimeZone($name))->getName();
        } catch (\Exception) {
            throw BadDocument::at('AMBER_ZONE', "is \"{$name}\", which is no time zone here", 'set it to one such as Europe/Lisbon');
        }
    }
}
