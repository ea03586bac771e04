<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Material\Family;
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

    /** The step an event would have been, for asking the hold rules about it; null where it is none. */
    public static function asStep(Event $event, Breakdown $breakdown, ?\AmberStep\Core\Material\Product $product): ?Step
    {
        $operation = match ($event->kind) {
            EventKind::Done => $event->operation,
            EventKind::MaskOn => Operation::Mask,
            EventKind::MaskOff => Operation::Unmask,
            EventKind::Glued => Operation::Glue,
            EventKind::IntoCabinet => Operation::Cabinet,
            default => null,
        };
        $piece = $breakdown->pieceAt($event->targets[0] ?? '');
        if ($operation === null || $piece === null) {
            return null;
        }

        return new Step($piece->id, $operation, $event->purpose, 1, 1, $piece->id, $event->targets, 0, 0, product: $event->hardened ? $product?->hardened() : $product, coatKind: $event->coatKind, medium: $event->medium);
    }
}
