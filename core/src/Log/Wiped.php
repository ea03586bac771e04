<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\Liquid;

/** A wipe with a liquid somebody named. */
final readonly class Wiped
{
    /** @param  list<string>  $targets */
    public function __construct(public string $eventId, public int $atEpoch, public Liquid $liquid, public array $targets)
    {
    }
}
