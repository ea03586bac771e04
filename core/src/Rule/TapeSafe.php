<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Plan\Hold;
use AmberStep\Core\Plan\HoldKind;
use AmberStep\Core\Plan\Operation;
use AmberStep\Core\Plan\Step;
use AmberStep\Core\Plan\World;

/** Tape goes on paint that is tape-safe, down to its lowest layer: else it lifts or marks. */
final class TapeSafe implements OrdersHolds
{
    public function id(): string
    {
        return 'tape-safe';
    }

    public function holds(Step $step, World $world): iterable
    {
        if ($step->operation !== Operation::Mask || $step->medium === Medium::HeldCard) {
            return;
        }
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            foreach ($state->layers as $layer) {
                if ($layer->product !== null) {
                    $wait = $world->waits->of($layer, WaitKind::TapeSafe, $state);
                    yield new Hold(HoldKind::TapeSafe, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), $layer->word(), $wait);
                }
            }
        }
    }
}
