<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\FoundAt;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Log\Through;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Seam\Course;
use AmberStep\Core\Seam\Leg;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;

/** What each place of the register needs until it is good, and the detail that is put back before primer. */
final class PlaceSteps
{
    /** What goes back through paint goes before everything else on its piece. */
    private const RANK = -20000;

    /** Purpose of the paint that goes over a place again: no coat of the plan. */
    public const AGAIN = 'place';

    public static function add(StepSet $steps, Kit $kit, Breakdown $breakdown, ModelState $surface, HouseRules $house, LayerPlanner $layers): void
    {
        foreach (Place::all($kit) as $place) {
            $joint = $kit->jointsById[$place->id] ?? null;
            $piece = $breakdown->pieceAt($place->parts[0]);
            if ($piece === null || ($joint !== null && ! ($joint->isSeam() && $breakdown->closesBeforePaint($joint->id)))) {
                continue;
            }
            $course = $steps->courses[$place->id] = Course::of($place, $surface->joint($place->id), $house, Through::on($place->parts, $kit, $surface));
            $areas = array_values(array_filter($piece->areas, static fn (Area $a): bool => in_array($a->part, $place->parts, true) && $a->face === Face::Outside && $a->isPainted()));
            foreach ($course->legs as $i => $leg) {
                $steps->add(self::leg($leg, $i, $place, $piece, $areas, $house));
            }
            self::paintAgain($steps, $course, $place, $piece, $areas, $layers);
        }
        foreach ($kit->features as $feature) {
            $piece = $breakdown->pieceAt($feature->part);
            if ($piece !== null) {
                $steps->add(new Step($feature->id, Operation::Rescribe, 'feature', 1, 1, $piece->id, [$feature->id], Rank::of(Operation::Rescribe), $piece->position * 100 + $feature->position));
            }
        }
    }

    /** @param  list<Area>  $areas */
    private static function leg(Leg $leg, int $i, Place $place, Piece $piece, array $areas, HouseRules $house): Step
    {
        $through = $leg->through !== FoundAt::Bare;
        $rank = $through ? self::RANK + $i : ($leg->operation === Operation::Look ? Rank::of(Operation::Fill) - 1 : Rank::of($leg->operation) + $leg->round);
        $title = match (true) {
            $leg->halo && $leg->operation === Operation::CheckCoat => "Brush a dark coat on the ring round {$place->name}",
            $leg->halo => "Sand the ring round {$place->name}: gap, stain, or good",
            $leg->operation === Operation::Look => "Is {$place->name} real detail? Look from inside, at the other side, in the booklet",
            $leg->operation === Operation::CheckSeam && $house->says('seam-check', 'pen-light') => "Check {$place->name}: pen line and raking light",
            $leg->operation === Operation::CutBack && $place->isClear => "Polish {$place->name} out of the clear plastic",
            $leg->operation === Operation::CheckSeam && ! $place->takesCheckCoat() => "Check {$place->name} by eye, in raking light",
            default => null,
        };

        return new Step(
            $place->id, $leg->operation, 'all', $leg->n, $leg->n, $piece->id,
            $through ? [$place->id, ...array_map(static fn (Area $a): string => $a->id, $areas)] : [$place->id],
            $rank, $piece->position * 100, jointId: $place->isJoint() ? $place->id : null, title: $title,
            waitsFor: $through && $leg->operation === Operation::CutBack ? WaitKind::SandSafe : null, placeId: $place->id, throughPaint: $through,
        );
    }

    /**
     * Sanded through, a place is primed again; in colour, the colour goes on it too.
     *
     * @param  list<Area>  $areas
     */
    private static function paintAgain(StepSet $steps, Course $course, Place $place, Piece $piece, array $areas, LayerPlanner $layers): void
    {
        $through = $course->opens();
        if ($through === null || $areas === []) {
            return;
        }
        $ids = array_map(static fn (Area $a): string => $a->id, $areas);
        $primer = $steps->last($ids[0], Operation::Prime)?->product;
        $colour = $steps->last($ids[0], Operation::Colour);
        $n = $course->round + 1;
        $purpose = self::AGAIN.'+'.$place->id;
        $rank = self::RANK + 500;
        $again = [[Operation::Prime, $primer ?? $layers->anyPrimer(), CoatKind::Light, "Spot prime {$place->name}"]];
        if ($through !== FoundAt::Primer && $colour !== null) {
            $again[] = [Operation::Colour, $colour->product, CoatKind::Mist, "Mist the colour over {$place->name}, out to a panel edge"];
        }
        foreach ($again as $i => [$operation, $product, $kind, $title]) {
            $steps->add(new Step($piece->id, $operation, $purpose, $n, $n, $piece->id, $ids, $rank + $i, $piece->position, product: $product, coatKind: $kind, title: $title, placeId: $place->id, throughPaint: true));
        }
    }
}
