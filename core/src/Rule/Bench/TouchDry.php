<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;

#[Says(
    'A piece is handled when all of it is touch dry, with all that is attached to it.',
    speaks: [],
    rests: 'Handbook 2, Paint families: touch dry',
)]
final class TouchDry implements OrdersHolds
{
    public function id(): string
    {
        return 'touch-dry';
    }

    public function holds(Step $step, World $world): iterable
    {
        if (! $step->operation->touches()) {
            return;
        }
        foreach ($this->pieces($step, $world) as $pieceId) {
            foreach ($world->handledWith($pieceId) as $area) {
                $state = $world->state($area);
                $top = $state->top();
                if ($top?->product !== null) {
                    $wait = $world->waits->of($top, WaitKind::TouchDry, $state);
                    yield new Hold(HoldKind::Touch, $area, $wait->fromEpoch, $wait->untilEpoch, $this->id(), $top->word(), $wait);
                }
            }
        }
    }

    /** @return list<string> */
    private function pieces(Step $step, World $world): array
    {
        if ($step->jointId === null || ! isset($world->kit->jointsById[$step->jointId])) {
            return [$step->pieceId];
        }
        [$a, $b] = $world->breakdown->sides($world->kit->jointsById[$step->jointId]);

        return array_values(array_unique([$a->id, $b->id]));
    }
}
