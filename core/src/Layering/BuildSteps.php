<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Kit\ShowDemand;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Shelf;
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

    /** Purpose of the abrading that lets another coat of two-part hold. */
    public const SCUFF = 'scuff';

    /** Seconds after which what is left of a cup has hardened in it, said or not. */
    public const CUP_IS_SET = 86400;

    /** What has hardener in it dies in the cup: what is left is thrown out, never sprayed. */
    public static function discard(StepSet $steps, ModelState $surface, Shelf $shelf, Breakdown $breakdown, int $nowEpoch): void
    {
        $last = [];
        foreach ($surface->mixes as $mix) {
            $last[$mix->product] = $mix;
        }
        $first = $breakdown->pieces[0] ?? null;
        if ($first === null) {
            return;
        }
        foreach ($last as $mix) {
            $product = $shelf->find($mix->product);
            if ($mix->potLifeMinutes > 0 && $product !== null && $nowEpoch - $mix->atEpoch < self::CUP_IS_SET) {
                $steps->add(new Step($product->id, Operation::Discard, $mix->eventId, 1, 1, $first->id, [$first->id], Rank::of(Operation::Discard), 0, product: $product));
            }
        }
    }

    /**
     * Two-part that is past its first window takes another coat scuffed, or not at all (handbook 9, Clear): a step before it.
     *
     * @param  list<Area>  $areas
     */
    public static function scuff(StepSet $steps, Piece $piece, array $areas, ModelState $surface, int $nowEpoch): void
    {
        $due = [];
        foreach ($areas as $area) {
            $state = $surface->area($area->id);
            $top = $state->top();
            $window = $top?->product?->family === Family::TwoPart ? $top->product->family->figures()->firstWindowMinutes : null;
            if ($top === null || $window === null || $nowEpoch <= $top->lastCoat()->atEpoch + 60 * $window || $state->isSandedSince($top->lastCoat()->atEpoch)) {
                continue;
            }
            foreach ($steps->on($area->id) as $step) {
                if ($step->operation === $top->operation && $step->product?->family === Family::TwoPart && $step->n > $state->count($step->operation, $step->counted())) {
                    $due[$state->count(Operation::Abrade, self::SCUFF) + 1][] = $area->id;
                    $rank = $step->rank;
                    break;
                }
            }
        }
        foreach ($due as $n => $ids) {
            $steps->add(new Step($piece->id, Operation::Abrade, self::SCUFF, $n, $n, $piece->id, $ids, $rank ?? 0, $piece->position, title: 'Scuff the clear with P1500, wet: it is past its window'));
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
