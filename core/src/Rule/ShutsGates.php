<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Drying\Wait;
use AmberStep\Core\Step\Step;

/**
 * A rule that holds whoever comes to a place, and not one step that could be named beforehand: handling of a piece whose
 * joint sets, dry sanding while paint is tacky. What it holds is told as gates, beside the holds it finds step by step.
 */
interface ShutsGates extends OrdersHolds
{
    /** A place all builds share. */
    public const AIR = 'the air';

    /** @return list<string> places by which a step has to pass, as the model stands */
    public function passes(Step $step, World $world): array;

    /** @return iterable<array{string, Wait}> places that are shut by a step just done, and by what wait */
    public function shuts(Step $step, World $world): iterable;
}
