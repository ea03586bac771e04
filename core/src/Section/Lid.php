<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

use AmberStep\Core\Step\Hold;

/** A hold on top of a layer: the next thing on this area has to wait for it. */
final readonly class Lid
{
    /** @param  float  $at  height in the row, 0 to 1: above which of its coats */
    public function __construct(public string $areaId, public int $row, public float $at, public Hold $hold, public string $stepKey)
    {
    }
}
