<?php

declare(strict_types=1);

namespace App\Clock;

use AmberStep\Core\Document\Instant;
use App\Models\Setting;
use DateTimeImmutable;
use PDOException;
use Psr\Clock\ClockInterface;

/** The one clock. AMBER_NOW freezes it; in the testing environment alone it can be set while it runs. A jump nobody spoke for is left out of it. */
final class BenchClock implements ClockInterface
{
    public const TESTING = 'testing-now';

    /** Looked at once a request: the file it rests on is small, but asked about often. */
    private ?int $jumped = null;

    public function __construct(private readonly ?string $frozen, private readonly bool $testing, private readonly Drift $drift)
    {
    }

    public function now(): DateTimeImmutable
    {
        return new DateTimeImmutable('@'.$this->epoch());
    }

    public function epoch(): int
    {
        return $this->clock() - $this->jumped();
    }

    /** @return int seconds by which the clock jumped since it was last looked at, and nobody said that it is right */
    public function jumped(): int
    {
        return $this->jumped ??= $this->isFrozen() ? 0 : $this->drift->seconds($this->clock());
    }

    /** Somebody said that the clock is right as it is. */
    public function accept(): void
    {
        $this->drift->accept($this->clock());
        $this->jumped = null;
    }

    public function isFrozen(): bool
    {
        return $this->frozen !== null || $this->set() !== null;
    }

    private function set(): ?int
    {
        try {
            $set = $this->testing ? Setting::query()->find(self::TESTING)?->value['epoch'] ?? null : null;
        } catch (PDOException) {
            // The clock goes on where the file does not.
            return null;
        }

        return is_int($set) ? $set : null;
    }

    private function clock(): int
    {
        return $this->set() ?? ($this->frozen === null ? null : Instant::parse($this->frozen)) ?? time();
    }
}
