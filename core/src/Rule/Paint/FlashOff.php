<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'Coats flash off before the next of the same product, and wait their recoat time before another.',
    speaks: [],
    rests: 'Handbook 2, Paint families: flash and recoat',
)]
final class FlashOff implements OrdersHolds
{
    public function id(): string
    {
        return 'flash-off';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation->leavesLayer();
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            $top = $state->top();
            if ($top === null || $top->product === null) {
                continue;
            }
            $same = $top->product->id === $step->product?->id;
            $wait = $world->waits->of($top, $same ? WaitKind::Flash : WaitKind::Recoat, $state);
            yield new Hold($same ? HoldKind::Flash : HoldKind::Recoat, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), 'coat '.count($top->coats).' of '.$top->word(), $wait);
        }
    }
}
