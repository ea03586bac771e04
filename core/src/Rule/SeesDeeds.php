<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Step\Misdeed;
use AmberStep\Core\Step\Step;

/** A rule that says of what was logged what it would have kept out of a plan. */
interface SeesDeeds extends Rule
{
    /**
     * @param  Step  $step  the event, as the step it was
     * @param  World  $before  the state it met
     * @return iterable<Misdeed>
     */
    public function deeds(Step $step, World $before): iterable;
}
