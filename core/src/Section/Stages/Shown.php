<?php

declare(strict_types=1);

namespace AmberStep\Core\Section\Stages;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Material\Medium;

/** An area as one frame shows it. */
final readonly class Shown
{
    /** @param  Medium|null  $under  what covers it */
    public function __construct(public Area $area, public Showing $as, public ?Medium $under = null)
    {
    }
}
