<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\FoundAt;
use AmberStep\Core\Work\Operation;

/** One thing that was done to a place to be made good, or said of it. */
final readonly class Deed
{
    /**
     * @param  Operation|Verdict  $what  filled, cut back and so on, or what a look at it showed
     * @param  FoundAt  $through  what lay on the place then
     * @param  string  $means  what it was looked at with; empty where nobody said
     * @param  string|null  $reason  why it is accepted as it is
     */
    public function __construct(public Operation|Verdict $what, public int $atEpoch, public FoundAt $through, public string $means, public string $eventId, public ?string $reason = null)
    {
    }
}
