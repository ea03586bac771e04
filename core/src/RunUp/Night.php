<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

/** A hold that spends a night or more by itself: hands have nothing to do with it. */
final readonly class Night
{
    /** Seconds from which a wait is a night by itself. */
    public const LEAST = 6 * 3600;

    /** @param  string  $because  what started it */
    public function __construct(public int $fromEpoch, public int $untilEpoch, public string $piece, public string $because)
    {
    }
}
