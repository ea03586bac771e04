<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Document\Names;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\Operation;

/** Why no plan could take a mask off sooner (handbook 3, end: the finding says so). */
final class WhySoLong
{
    /**
     * Panes are covered for all that is sprayed on their piece, and that takes as many evenings as it takes. Of a mask on
     * paint: no evening is long enough where what is sprayed beside it has to take a mask itself before the next colour.
     */
    public static function of(Outlook $outlook, PlannedStep $unmask, int $onEpoch, bool $bare): string
    {
        if ($bare) {
            $now = $outlook->context->nowEpoch;
            $when = static fn (int $epoch): string => Instant::wall($epoch, $now, $outlook->context->kit->zone);

            return " From {$when($onEpoch)} to {$when($unmask->startEpoch)} something is still sprayed on {$outlook->context->pieceName($unmask->step->pieceId)} in the evenings there are: take what may stay longer, or more evenings.";
        }
        foreach ($outlook->leftOfPiece($unmask->step->pieceId) as $other) {
            $step = $other->step;
            if ($step->operation === Operation::Mask && ! $step->isRemedy() && ! MaskFor::all($step->purpose) && $step->key !== str_replace('/unmask/', '/mask/', $unmask->step->key) && $other->startEpoch > $onEpoch && $other->startEpoch < $unmask->startEpoch) {
                $names = Names::listed(array_map($outlook->context->areaName(...), $step->targets));

                return " Meanwhile {$names} dries until it takes a mask for the next colour, longer than an evening: lift this one once its coat is on, and lay it fresh.";
            }
        }

        return '';
    }
}
