<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Work\Operation;

/** A fault that was named at the bench, and what it was seen on. */
final readonly class OpenFault
{
    /**
     * @param  list<string>  $targets
     * @param  string|null  $product  what lay on top when it was seen
     * @param  Seen  $seen  all that lay there: what the remedy uses
     */
    public function __construct(public string $eventId, public Fault $fault, public array $targets, public int $atEpoch, public ?string $product, public Seen $seen = new Seen(Operation::Colour))
    {
    }
}
