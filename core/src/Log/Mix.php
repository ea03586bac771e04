<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/** A cup that was mixed, and the life it has where hardener is in it. */
final readonly class Mix
{
    public function __construct(public string $eventId, public string $product, public int $atEpoch, public float $potLifeMinutes)
    {
    }
}
