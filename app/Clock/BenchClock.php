<?php

declare(strict_types=1);

namespace App\Clock;

use AmberStep\Core\Document\Instant;
use App\Models\Setting;
use DateTimeImmutable;
use Psr\Clock\ClockInterface;

/** The one clock. AMBER_NOW freezes it; in the testing environment alone it can be set while it runs. */
final readonly class BenchClock implements ClockInterface
{
    public const TESTING = 'testing-now';

    public function __construct(private ?string $frozen, private bool $testing)
    {
    }

    public function now(): DateTimeImmutable
    {
        return new DateTimeImmutable('@'.$this->epoch());
    }

    public function epoch(): int
    {
        if ($this->testing) {
            $set = Setting::query()->find(self::TESTING)?->value['epoch'] ?? null;
            if (is_int($set)) {
                return $set;
            }
        }

        return ($this->frozen === null ? null : Instant::parse($this->frozen)) ?? time();
    }

    public function isFrozen(): bool
    {
        return $this->frozen !== null || ($this->testing && Setting::query()->find(self::TESTING) !== null);
    }
}
