<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Log\OpenFault;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Work\Operation;

/** The event that says a step was done. */
final class StepEvent
{
    public static function of(Step $step, string $id, int $atEpoch, int $recordedEpoch): Event
    {
        $kind = match ($step->operation) {
            Operation::Mask => EventKind::MaskOn,
            Operation::Unmask => EventKind::MaskOff,
            Operation::Glue, Operation::Attach => EventKind::Glued,
            Operation::Cabinet => EventKind::IntoCabinet,
            Operation::Mix => EventKind::Mixed,
            default => EventKind::Done,
        };

        return new Event(
            $id, $kind, $atEpoch, $recordedEpoch, $step->operation === Operation::Mix ? [] : $step->targets, $step->operation, $step->purpose,
            product: $step->product?->id, coatKind: $step->coatKind, medium: $step->medium,
            wipe: $step->inserted?->wipe, found: $step->operation === Operation::Inspect ? 0 : null,
            cabinetC: $step->operation === Operation::Cabinet ? ($step->cabinetC ?? $step->inserted->cabinetC ?? 45.0) : null,
            potLifeMinutes: $step->cup?->livesMinutes,
            hardened: $step->product?->family === Family::HardenedEnamel, stepKey: $step->key,
        );
    }

    /** The step an event would have been, on the piece, joint and place it touched, for asking the rules about it; null where it is none. */
    public static function asStep(Event $event, Kit $kit, Breakdown $breakdown, ?Product $product, ModelState $before): ?Step
    {
        $target = $event->targets[0] ?? '';
        $joint = $kit->jointsById[$target] ?? null;
        $operation = match ($event->kind) {
            EventKind::Done => $event->operation,
            EventKind::MaskOn => Operation::Mask,
            EventKind::MaskOff => Operation::Unmask,
            EventKind::Glued => $joint !== null && ! $breakdown->closesBeforePaint($joint->id) ? Operation::Attach : Operation::Glue,
            EventKind::IntoCabinet => Operation::Cabinet,
            default => null,
        };
        $piece = $breakdown->pieceAt($target);
        if ($operation === null || $piece === null) {
            return null;
        }
        $shut = $breakdown->blocks($target);
        $fault = self::faultSeenTo($event, $before);

        return new Step(
            $joint->id ?? $piece->id, $operation, $event->purpose, 1, 1, $piece->id, $event->targets, 0, 0,
            $shut !== null && $breakdown->closesBeforePaint($shut->id) ? $shut->id : '', $joint?->id,
            $event->hardened ? $product?->hardened() : $product, $event->coatKind, $event->medium,
            waitFactor: $fault?->fault->waitFactor() ?? 1, fault: $fault?->fault,
            placeId: $joint !== null || isset($kit->flawsById[$target]) ? $target : null,
        );
    }

    /** The fault a rubbing is about: it waits as its remedy does, whoever planned it. */
    private static function faultSeenTo(Event $event, ModelState $before): ?OpenFault
    {
        foreach ($event->operation?->sands() === true ? $before->faults : [] as $fault) {
            if (array_intersect($fault->targets, $event->targets) !== []) {
                return $fault;
            }
        }

        return null;
    }
}
