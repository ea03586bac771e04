<?php

declare(strict_types=1);

namespace AmberStep\Core\Seam;

use AmberStep\Core\Kit\FoundAt;
use AmberStep\Core\Work\Operation;

/** One thing that is to be done to a place. */
final readonly class Leg
{
    /**
     * @param  int  $n  the how-manieth of its kind on this place, from 1
     * @param  int  $round  0 for what the register asks for, then one for each verdict that asks for more
     * @param  FoundAt  $through  what lay on the place when it was asked for
     * @param  bool  $halo  a check that tells a gap from a stain
     */
    public function __construct(public Operation $operation, public int $n, public int $round, public FoundAt $through, public bool $halo = false)
    {
    }
}
