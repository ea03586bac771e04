<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Material\Tool;

/** What is mixed in one go, for the coats of an evening. */
final readonly class Cup
{
    /**
     * @param  float  $ml  of mix, above 0
     * @param  float  $thinnerPerPaint  0 or more
     * @param  int  $coats  that are sprayed out of it, on all pieces together
     * @param  float  $cm2  of the surfaces that are sprayed out of it, each once
     * @param  float  $thick  coats of the family's reference film that lie on them then: a mist is half
     * @param  Tool  $tool  of its first coat
     * @param  float|null  $livesMinutes  once mixed, at the room's temperature; null: no hardener in it
     */
    public function __construct(public float $ml, public float $thinnerPerPaint, public int $coats, public float $cm2, public float $thick, public Tool $tool, public ?float $livesMinutes = null)
    {
    }

    /** To what can be measured, 0.05 ml: every screen and sheet pours the same. */
    public function measuredMl(): float
    {
        return round($this->ml / 0.05) * 0.05;
    }
}
