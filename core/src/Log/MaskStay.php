<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/** A mask that lay on an area and came off again, really or as planned. */
final readonly class MaskStay
{
    public function __construct(public MaskOn $mask, public int $offEpoch, public ?string $offKey)
    {
    }
}
