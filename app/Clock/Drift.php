<?php

declare(strict_types=1);

namespace App\Clock;

/**
 * Whether the clock jumped since it was last looked at: it is held against the machine's own time since its start, which
 * nobody sets. What was seen last is kept in a file beside the database. Until somebody says that the clock is right, the
 * product goes on by the machine's time, so that no hold ends by a jump.
 */
final readonly class Drift
{
    /** Seconds back, and seconds on, that are no jump. */
    public const BACK = 120;

    public const ON = 12 * 3600;

    /** Seconds between two looks that are written down. */
    private const EVERY = 60;

    /** @param  string|null  $file  where what was seen last is kept; null: nothing is held against anything */
    public function __construct(private ?string $file, private Uptime $uptime)
    {
    }

    /** @return int seconds by which the clock jumped and nobody said that it is right; on counts up, back down */
    public function seconds(int $clockEpoch): int
    {
        $seen = $this->seen();
        $up = $this->uptime->seconds();
        if ($seen === null) {
            $this->see($clockEpoch, $up);

            return 0;
        }
        $sameStart = $seen['start'] === $this->uptime->start();
        $expected = $seen['epoch'] + ($sameStart ? max(0, $up - $seen['up']) : 0);
        $off = $clockEpoch - $expected;
        if ($off < -self::BACK || ($sameStart && $off > self::ON)) {
            return $off;
        }
        if (! $sameStart || abs($clockEpoch - $seen['epoch']) >= self::EVERY) {
            $this->see($clockEpoch, $up);
        }

        return 0;
    }

    /** Somebody said that the clock is right as it is. */
    public function accept(int $clockEpoch): void
    {
        $this->see($clockEpoch, $this->uptime->seconds());
    }

    private function see(int $epoch, int $up): void
    {
        if ($this->file !== null) {
            $fresh = $this->file.'.'.bin2hex(random_bytes(4));
            if (@file_put_contents($fresh, (string) json_encode(['epoch' => $epoch, 'up' => $up, 'start' => $this->uptime->start()])) !== false) {
                @rename($fresh, $this->file);
            }
        }
    }

    /** @return array{epoch: int, up: int, start: string}|null */
    private function seen(): ?array
    {
        $kept = $this->file === null ? null : json_decode((string) @file_get_contents($this->file), true);

        return is_array($kept) && is_int($kept['epoch'] ?? null) && is_int($kept['up'] ?? null) && is_string($kept['start'] ?? null) ? ['epoch' => $kept['epoch'], 'up' => $kept['up'], 'start' => $kept['start']] : null;
    }
}
