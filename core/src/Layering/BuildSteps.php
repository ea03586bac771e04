<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\ShowDemand;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;

/** Steps about the build as a whole: each colour of the booklet is closed once, and a show may want photographs. */
final class BuildSteps
{
    public static function add(StepSet $steps, Kit $kit, Breakdown $breakdown): void
    {
        foreach ($kit->colours as $colour) {
            $last = self::lastOf($steps, $colour->id);
            if ($last !== null && array_filter($kit->callouts, static fn ($c): bool => $c->colour === $colour->id) !== []) {
                $steps->add(new Step($colour->id, Operation::CloseColour, $colour->id, 1, 1, $last->pieceId, [$last->pieceId], $last->rank + 1, $last->position));
            }
        }
        $first = $breakdown->pieces[0] ?? null;
        if ($first !== null && $kit->demands(ShowDemand::Photographs)) {
            $steps->add(new Step($first->id, Operation::Photograph, 'bare', 1, 1, $first->id, [$first->id], Rank::of(Operation::Wash) - 1, $first->position));
            $steps->add(new Step($first->id, Operation::Photograph, 'finished', 1, 1, $first->id, [$first->id], Rank::of(Operation::Photograph), $first->position));
        }
    }

    /** The spraying of a colour that stands last in the trade's order. */
    private static function lastOf(StepSet $steps, string $colour): ?Step
    {
        $last = null;
        foreach ($steps->all() as $step) {
            $sprays = $step->operation === Operation::Colour || $step->operation === Operation::InsideColour;
            if ($sprays && ! $step->isRemedy() && $step->counted() === $colour && ($last === null || [$step->rank, $step->n, $step->position] > [$last->rank, $last->n, $last->position])) {
                $last = $step;
            }
        }

        return $last;
    }
}
