<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

/** What the hygrometer said. */
final readonly class Reading
{
    public function __construct(public int $atEpoch, public Conditions $air)
    {
    }
}
