<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'Enamel and two-part take another coat early or late; between the windows they wrinkle or do not bond.',
    speaks: [],
    rests: 'Handbook 2, Paint families: the recoat windows',
)]
final class EnamelWindow implements OrdersHolds
{
    public function id(): string
    {
        return 'enamel-window';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation->leavesLayer();
    }

    public function holds(Step $step, World $world): iterable
    {
        if ($step->product === null) {
            return;
        }
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            $top = $state->top();
            $figures = $top?->product?->family->figures();
            if ($top === null || $top->wash() !== null || $figures === null || $top->product === null || $figures->firstWindowMinutes === null || $figures->secondWindowMinutes === null || $top->product->liquid() !== $step->product->liquid()) {
                continue;
            }
            $last = $top->lastCoat()->atEpoch;
            // The closing end shrinks with heat and never grows with cold.
            $closes = min($last + 60 * $figures->firstWindowMinutes, $world->waits->plain($last, $figures->firstWindowMinutes, $figures->driesBy, $state->stays)->untilEpoch);
            $opens = $world->waits->plain($last, $figures->secondWindowMinutes, $figures->driesBy, $state->stays, $top->lastCoat()->eventId);
            yield new Hold(HoldKind::Window, $target, $closes, max($closes, $opens->untilEpoch), $this->id(), 'the last coat of '.$top->word(), $opens);
        }
    }
}
