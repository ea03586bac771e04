<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\CoatKind;

/** One application of paint that is really there, or planned to be. */
final readonly class Coat
{
    /** @param  float  $filmMicrons dry film, µm */
    public function __construct(public int $atEpoch, public CoatKind $kind, public float $filmMicrons, public string $eventId, public ?string $stepKey = null)
    {
    }
}
