<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Joint;

/** Gluing, and what a seam needs until it has vanished. */
final class JointSteps
{
    public static function add(StepSet $steps, Joint $joint, Breakdown $breakdown, HouseRules $house): void
    {
        [$first, $second] = $breakdown->sides($joint);
        if (! $breakdown->closesBeforePaint($joint->id)) {
            $fragile = $first->isFragile() || $second->isFragile();
            $steps->add(self::step($joint, Operation::Attach, $first, Rank::of(Operation::Attach, extra: $fragile ? 20 : 0)));

            return;
        }
        $glue = $joint->blocks === [] ? Rank::of(Operation::Glue) : Rank::of(Operation::Glue, extra: 5);
        $steps->add(self::step($joint, Operation::Glue, $first, $glue));
        if (! $joint->isSeam()) {
            return;
        }
        if ($joint->gapMm > 0) {
            $steps->add(self::step($joint, Operation::Fill, $first, Rank::of(Operation::Fill)));
        }
        $steps->add(self::step($joint, Operation::CutBack, $first, Rank::of(Operation::CutBack)));
        // Checked with the primer, it needs no step of its own (house rule).
        if (! $house->says('seam-check', 'primer')) {
            $title = $house->says('seam-check', 'pen-light') ? "Check {$joint->name}: pen line and raking light" : null;
            $steps->add(self::step($joint, Operation::CheckSeam, $first, Rank::of(Operation::CheckSeam), $title));
        }
    }

    private static function step(Joint $joint, Operation $operation, Piece $piece, int $rank, ?string $title = null): Step
    {
        return new Step($joint->id, $operation, 'all', 1, 1, $piece->id, [$joint->id], $rank, $piece->position * 100 + $joint->position, jointId: $joint->id, title: $title);
    }
}
