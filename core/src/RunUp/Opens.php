<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

/** Before when something cannot be done, whatever is put before it, and why. */
final readonly class Opens
{
    public function __construct(public int $epoch, public string $because)
    {
    }
}
