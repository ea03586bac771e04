<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Work\Strength;

/** One step before another, with the rule that says so and why. */
final readonly class Constraint
{
    public string $sentence;

    /** @param  string  $sentence  why; it may begin with a name as somebody typed it */
    public function __construct(public string $before, public string $after, public Strength $strength, public string $rule, string $sentence)
    {
        $this->sentence = ucfirst($sentence);
    }
}
