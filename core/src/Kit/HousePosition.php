<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** One position on a house question, and what speaks for it. */
final readonly class HousePosition
{
    public function __construct(public string $id, public string $title, public string $reason)
    {
    }
}
