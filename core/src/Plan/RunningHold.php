<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Work\HoldKind;

/** A hold that runs now and stands in the way of a piece's next step: what the hold line draws. */
final readonly class RunningHold
{
    /**
     * @param  bool  $closing  a chance that is lost at $untilEpoch, not a wait that is over
     * @param  string|null  $on  what a verdict on it is about, area or joint; null where nothing is learned of it
     */
    public function __construct(public string $key, public string $pieceId, public string $label, public HoldKind $kind, public int $fromEpoch, public int $untilEpoch, public string $forbids, public string $words, public string $stepKey, public bool $closing = false, public ?string $on = null)
    {
    }
}
