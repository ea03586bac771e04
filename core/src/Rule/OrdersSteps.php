<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Together;

/** A rule that puts one step before another without asking. */
interface OrdersSteps extends Rule
{
    /** @return iterable<Constraint|Together> */
    public function order(Context $context): iterable;
}
