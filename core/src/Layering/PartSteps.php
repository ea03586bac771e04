<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Part;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;

/** What a part needs before it is joined to anything: a test fit that marks it, and vinyl its shape. */
final class PartSteps
{
    public static function add(StepSet $steps, Piece $piece): void
    {
        foreach ($piece->parts as $part) {
            if ($part->isHanded()) {
                $steps->add(self::step($piece, $part, Operation::TestFit));
            }
            if ($part->substrate === Substrate::SoftVinyl && $part->hollow) {
                foreach ([Operation::Soften, Operation::Trim, Operation::Stuff, Operation::FitWarm] as $operation) {
                    $steps->add(self::step($piece, $part, $operation));
                }
            }
        }
    }

    private static function step(Piece $piece, Part $part, Operation $operation): Step
    {
        return new Step($piece->id, $operation, $part->id, 1, 1, $piece->id, [$piece->id], Rank::of($operation), $piece->position);
    }
}
