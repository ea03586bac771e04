<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use DateTimeImmutable;
use DateTimeZone;

/** A show a build is made for: by when it has to stand there, and by when it has to be ready for that. */
final readonly class Show
{
    /**
     * @param  int  $opensEpoch  by when the builds must be there
     * @param  int  $dueEpoch  by when they must be ready: packing and travel come after
     * @param  list<string>  $demands  what it asks for or forbids, as kits have it
     */
    private function __construct(public string $id, public string $name, public int $opensEpoch, public int $dueEpoch, public array $demands)
    {
    }

    /**
     * @param  string  $date  on the wall, such as 2026-03-28
     * @param  int  $by  minutes of that day by which the builds must be there
     * @param  int  $packing  minutes
     * @param  int  $travel  minutes
     * @param  list<string>  $demands
     */
    public static function on(string $id, string $name, string $date, int $by, int $packing, int $travel, array $demands, DateTimeZone $zone): self
    {
        $opens = (new DateTimeImmutable($date, $zone))->setTime(intdiv($by, 60), $by % 60)->getTimestamp();

        return new self($id, $name, $opens, $opens - 60 * ($packing + $travel), $demands);
    }

    /** Whole days by which what is ready at a moment misses it, begun ones too; 0: in time. */
    public function daysLate(int $readyEpoch): int
    {
        return max(0, (int) ceil(($readyEpoch - $this->dueEpoch) / 86400));
    }
}
