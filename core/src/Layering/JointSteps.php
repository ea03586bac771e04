<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;

/** Gluing: before paint, or at the end. */
final class JointSteps
{
    public static function add(StepSet $steps, Joint $joint, Breakdown $breakdown): void
    {
        [$first, $second] = $breakdown->sides($joint);
        if (! $breakdown->closesBeforePaint($joint->id)) {
            $fragile = $first->isFragile() || $second->isFragile();
            $steps->add(self::step($joint, Operation::Attach, $first, Rank::of(Operation::Attach, extra: $fragile ? 20 : 0)));

            return;
        }
        $glue = $joint->blocks === [] ? Rank::of(Operation::Glue) : Rank::of(Operation::Glue, extra: 5);
        $steps->add(self::step($joint, Operation::Glue, $first, $glue));
    }

    private static function step(Joint $joint, Operation $operation, Piece $piece, int $rank): Step
    {
        return new Step($joint->id, $operation, 'all', 1, 1, $piece->id, [$joint->id], $rank, $piece->position * 100 + $joint->position, jointId: $joint->id);
    }
}
