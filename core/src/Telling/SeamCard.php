<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\FillerAdvice;
use AmberStep\Core\Material\GlueChoice;
use AmberStep\Core\Material\Grit;
use AmberStep\Core\Seam\Ladder;
use AmberStep\Core\Seam\Sanding;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** How glue, filler and grit are used in one step: dose, time to work, and the rungs of the ladder (handbook 2, Glues, Fillers, Abrasives). */
final class SeamCard
{
    /** @return list<string> */
    public static function of(Step $step, Context $context): array
    {
        $place = Place::find($step->placeId ?? '', $context->kit);

        return match (true) {
            $step->operation->joins() => self::glue($context->kit->jointsById[$step->jointId ?? ''] ?? null),
            $step->operation === Operation::Fill && $place !== null => self::fill($place),
            $step->operation === Operation::CutBack && $place !== null => self::ladder($place, $context),
            $step->operation === Operation::Polish => self::polish($context),
            default => [],
        };
    }

    /** @return list<string> */
    private static function glue(?Joint $joint): array
    {
        if ($joint === null) {
            return [];
        }
        $glue = $joint->glue;

        return [GlueChoice::dose($glue), ...GlueChoice::lookOut($glue), sprintf('Let go after %d min, full strength after %d h (20 °C).', $glue->handleMinutes(), intdiv($glue->fullMinutes(), 60))];
    }

    /** @return list<string> */
    private static function fill(Place $place): array
    {
        $filler = $place->filler();
        $putty = in_array($filler, [Filler::SolventPutty, Filler::WaterPutty, Filler::EpoxyPutty, Filler::LightCured], true);

        return [...($putty ? ['Tape either side of the gap, fill a little proud, strike it off along the tape, tape off while it is soft.'] : []), ...FillerAdvice::laid($filler, $place->gap())];
    }

    /** @return list<string> */
    private static function ladder(Place $place, Context $context): array
    {
        $sanding = Sanding::of($place, $context->house);

        return [self::rungs($sanding->ladder($context->shelf->grits), $sanding->from, $sanding->to), ...$sanding->how];
    }

    /** @return list<string> */
    private static function polish(Context $context): array
    {
        $to = Grit::read('compound');

        return [self::rungs(Ladder::between(Grit::read('P2000'), $to, $context->shelf->grits), Grit::read('P2000'), $to).' Wash it with a drop of soap before anything is glued or masked.'];
    }

    private static function rungs(?Ladder $ladder, Grit $from, Grit $to): string
    {
        if ($ladder === null) {
            return "From {$from->label()} to {$to->label()}.";
        }

        return self::labels($ladder->steps).($ladder->missing === [] ? '.' : '; '.self::labels($ladder->missing).' to buy.');
    }

    /** @param  list<Grit>  $grits */
    private static function labels(array $grits): string
    {
        return implode(', ', array_map(static fn (Grit $g): string => $g->label(), $grits));
    }
}
