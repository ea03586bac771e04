<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\NotBefore;
use AmberStep\Core\Log\MaskOn;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\Operation;

/** Tape that lies too long is lifted and laid fresh at a change of stage: only where there is tape, and where it helps. */
final class Retape
{
    /** Seconds. */
    private const SPARE = 86400;

    /** Seconds before the coat in which it is laid. */
    private const AHEAD = 1800;

    /** Minutes of the longest stretch it lies without being laid anew. */
    public static function longest(int $onEpoch, PlannedStep $unmask, Outlook $outlook): float
    {
        $longest = 0;
        foreach ($outlook->leftOn($unmask->step->targets[0]) as $other) {
            if ($other->step->operation === Operation::Mask && $other->step->isRemedy() && $other->startEpoch < $unmask->startEpoch) {
                $longest = max($longest, $other->startEpoch - $onEpoch);
                $onEpoch = max($onEpoch, $other->endEpoch);
            }
        }

        return max($longest, $unmask->startEpoch - $onEpoch) / 60;
    }

    /** @return Fix|null null where laid fresh once it would still lie too long */
    public static function fix(Outlook $outlook, PlannedStep $unmask, Medium $medium, bool $bare): ?Fix
    {
        $targets = $unmask->step->targets;
        // With room to spare: what is put in may move the coats by an evening.
        $stay = 60 * $medium->longestStayMinutes($bare) - min(self::SPARE, 30 * $medium->longestStayMinutes($bare));
        $laid = max([0, ...array_map(static fn (MaskOn $m): int => $m->atEpoch, $outlook->context->surface->area($targets[0])->masks)]);
        $before = null;
        foreach ($outlook->leftOfPiece($unmask->step->pieceId) as $other) {
            if ($other->step->isSprayed() && ! $other->step->isRemedy() && $other->startEpoch <= $laid + $stay && ($before === null || $other->startEpoch > $before->startEpoch)) {
                $before = $other;
            }
        }

        if ($before === null || $unmask->startEpoch - $before->startEpoch > $stay) {
            return null;
        }
        $id = Id::from('retape', $before->step->key, ...$targets);

        return new Fix("Lift it and lay it fresh before {$before->step->operation->word()} goes on", [
            Edit::insert(new Inserted($id, Operation::Mask, $targets, "Lift the {$medium->word()}, look, lay it fresh")),
            Edit::add('notBefore', (new NotBefore(Id::from('retape at', $id), "{$unmask->step->pieceId}/mask/insert+{$id}/1", $before->startEpoch - self::AHEAD))->toArray()),
        ]);
    }
}
