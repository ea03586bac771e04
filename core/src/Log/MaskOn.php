<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\Medium;

/** A mask that lies on an area. */
final readonly class MaskOn
{
    public function __construct(public Medium $medium, public int $atEpoch, public string $purpose, public string $eventId, public ?string $stepKey = null)
    {
    }
}
