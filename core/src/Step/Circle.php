<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Work\Strength;

/** Orders that contradict each other, as a chain: each constraint's after is the next one's before. */
final readonly class Circle
{
    /**
     * @param  non-empty-list<Constraint>  $chain
     * @param  Constraint  $dropped  the one that was left out so that there is a plan at all
     */
    public function __construct(public array $chain, public Constraint $dropped)
    {
    }

    public function isOfMusts(): bool
    {
        return $this->dropped->strength->value >= Strength::User->value;
    }
}
