<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/** A fault that was named at the bench, and what it was seen on. */
final readonly class OpenFault
{
    /**
     * @param  list<string>  $targets
     * @param  string|null  $product  what lay on top when it was seen: the recoat uses it
     */
    public function __construct(public string $eventId, public Fault $fault, public array $targets, public int $atEpoch, public ?string $product)
    {
    }
}
