<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Finish;

use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'Clear is polished when it is cured: solvent that still leaves sinks and prints.',
    speaks: [],
    rests: 'Handbook 2, Paint families: cured; two-part 48 h',
)]
final class ClearThenWait implements OrdersHolds
{
    public function id(): string
    {
        return 'clear-then-wait';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation === Operation::Polish;
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            $top = $state->top();
            if ($top?->product !== null) {
                $wait = $world->waits->of($top, WaitKind::Cured, $state);
                yield new Hold(HoldKind::Cured, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), $top->word(), $wait);
            }
        }
    }
}
