<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Log\Fold;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Plan\Hold;
use AmberStep\Core\Plan\HoldKind;
use AmberStep\Core\Plan\Operation;
use AmberStep\Core\Plan\Step;
use AmberStep\Core\Plan\World;

/** Low spots filled after a look at the primer are cut back once their putty is through: a skin drags out. */
final class FillerSet implements OrdersHolds
{
    /** mm: what is low in primer is filled with a skim of putty, never deeper. */
    private const SKIM = 0.15;

    public function id(): string
    {
        return 'filler-set';
    }

    public function holds(Step $step, World $world): iterable
    {
        if ($step->operation !== Operation::Flat || Fold::counted($step->purpose) !== 'round') {
            return;
        }
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            $filled = $state->done[Operation::Fill->value.'/round'] ?? [];
            if ($filled !== []) {
                $wait = $world->waits->plain($filled[count($filled) - 1], Filler::SolventPutty->readyMinutes(self::SKIM), Filler::SolventPutty->driesBy(), $state->stays);
                yield new Hold(HoldKind::Ready, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), Filler::SolventPutty->word().' in the low spots', $wait);
            }
        }
    }
}
