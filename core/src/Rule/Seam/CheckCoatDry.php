<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Seam;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Log\Deed;
use AmberStep\Core\Material\DriesBy;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Strength;

#[Says(
    'A dark check coat is brushed on all places of a piece, dries an hour, and is sanded off all of them.',
    speaks: [],
    rests: 'Handbook 3, check-coat-dry',
)]
final class CheckCoatDry implements OrdersHolds, OrdersSteps
{
    private const MINUTES = 60;

    public function id(): string
    {
        return 'check-coat-dry';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::CheckCoat) as $brush) {
            if ($this->closesOverPaint($brush, $context)) {
                continue;
            }
            foreach ($context->steps->ofPiece($brush->pieceId) as $sand) {
                if ($sand->operation === Operation::CheckSeam && $sand->n === $brush->n && $sand->placeId !== $brush->placeId && ! $sand->throughPaint && ! $brush->throughPaint) {
                    yield new Constraint($brush->key, $sand->key, Strength::Fit, $this->id(), 'All places of the piece are brushed, then all are sanded.');
                }
            }
        }
    }

    /** A seam that waits for an inside to be painted is filled days after the others: they do not wait for it. */
    private function closesOverPaint(Step $step, Context $context): bool
    {
        foreach ($step->jointId === null ? [] : $context->steps->ofPiece($step->pieceId) as $other) {
            if ($other->phase === $step->jointId) {
                return true;
            }
        }

        return false;
    }

    public function concerns(Operation $operation): bool
    {
        return $operation === Operation::CheckSeam;
    }

    public function holds(Step $step, World $world): iterable
    {
        $brushed = null;
        foreach ($step->placeId === null ? [] : $world->surface->joint($step->placeId)->deeds as $deed) {
            $brushed = $deed->what === Operation::CheckCoat ? $deed : $brushed;
        }
        if ($brushed instanceof Deed && $step->placeId !== null) {
            $wait = $world->waits->plain($brushed->atEpoch, self::MINUTES, DriesBy::Water, began: $brushed->eventId);
            yield new Hold(HoldKind::Ready, $step->placeId, $wait->fromEpoch, $wait->untilEpoch, $this->id(), 'the dark check coat', $wait);
        }
    }
}
