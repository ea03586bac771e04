<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;

/** A rule that makes a step wait for what is on the model. */
interface OrdersHolds extends Rule
{
    /** @return iterable<Hold> stretches of time in which the step may not be done */
    public function holds(Step $step, World $world): iterable;
}
