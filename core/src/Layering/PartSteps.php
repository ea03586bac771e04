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
    /** Purpose of the first wash, which takes off what came out of the mould with the part. */
    public const RELEASE = 'release';

    public static function add(StepSet $steps, Piece $piece): void
    {
        if (self::washedFirst($piece)) {
            $steps->add(new Step($piece->id, Operation::Wash, self::RELEASE, 1, 1, $piece->id, [$piece->id], Rank::of(Operation::TestFit) - 1, $piece->position));
        }
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

    /** Resin and vinyl carry release agent: it comes off before they are glued, filled or formed. */
    public static function washedFirst(Piece $piece): bool
    {
        $worked = count($piece->parts) > 1;
        foreach ($piece->parts as $part) {
            $worked = $worked || ($part->substrate === Substrate::SoftVinyl && $part->hollow);
        }
        $carries = array_filter($piece->parts, static fn (Part $p): bool => $p->substrate->hasRelease());

        return $carries !== [] && $worked;
    }

    private static function step(Piece $piece, Part $part, Operation $operation): Step
    {
        return new Step($piece->id, $operation, $part->id, 1, 1, $piece->id, [$piece->id], Rank::of($operation), $piece->position);
    }
}
