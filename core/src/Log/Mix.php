<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/** A cup that was mixed, the life it has where hardener is in it, and what was poured where somebody wrote it down. */
final readonly class Mix
{
    /** @param  list<float>  $poured  ml of each part of its recipe; empty: not written down */
    public function __construct(public string $eventId, public string $product, public int $atEpoch, public float $potLifeMinutes, public array $poured = [])
    {
    }
}
