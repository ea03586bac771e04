<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Work\Strength;

/** One step before another, with the rule that says so and why. */
final readonly class Constraint
{
    public function __construct(public string $before, public string $after, public Strength $strength, public string $rule, public string $sentence)
    {
    }
}
