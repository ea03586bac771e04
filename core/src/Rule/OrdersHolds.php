<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** A rule that makes a step wait for what is on the model. */
interface OrdersHolds extends Rule
{
    /** Whether it may hold steps of an operation at all: of others it is not asked. */
    public function concerns(Operation $operation): bool;

    /** @return iterable<Hold> stretches of time in which the step may not be done */
    public function holds(Step $step, World $world): iterable;
}
