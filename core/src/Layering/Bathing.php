<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Glue;

/** Which pieces never go into a bath before primer: they are dusted, wiped damp and blown off (handbook 3, wash-dry-before-paint). */
final class Bathing
{
    /** Comes off or swells in water at any age. */
    private const SOFTENED = [Filler::WaterPutty, Filler::ClearGlue, Filler::AcrylicFiller];

    public static function isNever(Piece $piece, Kit $kit, Breakdown $breakdown): bool
    {
        foreach ($piece->areas as $area) {
            $shut = $breakdown->blocks($area->id);
            if (($area->isPainted() && $shut !== null && $breakdown->closesBeforePaint($shut->id)) || ($area->isPane() && count($piece->parts) > 1)) {
                return true;
            }
        }
        $isMain = ($breakdown->pieces[0]->id ?? '') === $piece->id;

        return ($isMain && $kit->noseWheel) || self::isGluedOrFilledWithWhatSoftens($piece, $kit, $breakdown);
    }

    private static function isGluedOrFilledWithWhatSoftens(Piece $piece, Kit $kit, Breakdown $breakdown): bool
    {
        foreach ($breakdown->jointsOf($piece->id) as $joint) {
            if ($joint->glue === Glue::ClearGlue && $breakdown->closesBeforePaint($joint->id)) {
                return true;
            }
        }
        $parts = array_map(static fn ($p): string => $p->id, $piece->parts);
        foreach (Place::all($kit) as $place) {
            $joint = $kit->jointsById[$place->id] ?? null;
            $filled = $place->widthMm > 0 && ($joint === null || ($joint->isSeam() && $breakdown->closesBeforePaint($joint->id)));
            if ($filled && array_intersect($place->parts, $parts) !== [] && in_array($place->filler(), self::SOFTENED, true)) {
                return true;
            }
        }

        return false;
    }
}
