<?php

declare(strict_types=1);

namespace App\Clock;

/** The machine's own time since its start, sleep included. */
final readonly class Uptime
{
    public function __construct(private string $uptime = '/proc/uptime', private string $start = '/proc/sys/kernel/random/boot_id')
    {
    }

    public function seconds(): int
    {
        return (int) (float) @file_get_contents($this->uptime);
    }

    /** Another after each start. */
    public function start(): string
    {
        return trim((string) @file_get_contents($this->start));
    }
}
