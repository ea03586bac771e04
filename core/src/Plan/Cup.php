<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

/** What is mixed in one go, for the coats of an evening. */
final readonly class Cup
{
    /**
     * @param  float  $ml  of mix, above 0
     * @param  float  $thinnerPerPaint  0 or more
     * @param  int  $coats  that are sprayed out of it, on all pieces together
     * @param  float|null  $livesMinutes  once mixed, at the room's temperature; null: no hardener in it
     */
    public function __construct(public float $ml, public float $thinnerPerPaint, public int $coats, public ?float $livesMinutes = null)
    {
    }
}
