<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'A joint is left alone until it can be handled, and not sanded or loaded before it has its full strength.',
    speaks: [],
    rests: 'Handbook 2, Glues: handling and full strength',
)]
final class GlueSet implements OrdersHolds
{
    public function id(): string
    {
        return 'glue-set';
    }

    public function holds(Step $step, World $world): iterable
    {
        if (! $step->operation->touches() && ! $step->operation->sprays()) {
            return;
        }
        foreach ($world->kit->joints as $joint) {
            $state = $world->surface->joint($joint->id);
            if ($state->closedAt === null || $state->glue === null || ! $this->concerns($step, $joint, $world)) {
                continue;
            }
            $full = $step->operation === Operation::CutBack && $step->jointId === $joint->id;
            $typical = $full ? $state->glue->fullMinutes() : $state->glue->handleMinutes();
            $wait = $world->waits->plain($state->closedAt, $typical, $state->glue->driesBy());
            yield new Hold($full ? HoldKind::Full : HoldKind::Handle, $joint->id, $wait->fromEpoch, $wait->untilEpoch, $this->id(), $joint->name.', '.$state->glue->word(), $wait);
        }
    }

    private function concerns(Step $step, Joint $joint, World $world): bool
    {
        if ($step->jointId === $joint->id) {
            return true;
        }
        [$a, $b] = $world->breakdown->sides($joint);

        return $a->id === $step->pieceId || $b->id === $step->pieceId;
    }
}
