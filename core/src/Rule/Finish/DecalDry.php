<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Finish;

use AmberStep\Core\Material\DriesBy;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'Decals go on gloss that is tape-safe, and dry 24 h before anything covers them.',
    speaks: [],
    rests: '24 h',
)]
final class DecalDry implements OrdersHolds
{
    private const DRY_MINUTES = 24 * 60;

    public function id(): string
    {
        return 'decal-dry';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation === Operation::Decal || $operation->leavesLayer();
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            $top = $state->top();
            if ($top === null) {
                continue;
            }
            if ($step->operation === Operation::Decal && ! $top->isDecal()) {
                $wait = $world->waits->of($top, WaitKind::TapeSafe, $state);
                yield new Hold(HoldKind::TapeSafe, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), $top->word().': prints while it is young', $wait);
            } elseif ($step->operation->leavesLayer() && $top->isDecal()) {
                $wait = $world->waits->plain($top->lastCoat()->atEpoch, self::DRY_MINUTES, DriesBy::Water, $state->stays, $top->lastCoat()->eventId);
                yield new Hold(HoldKind::Dry, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), 'the decals', $wait);
            }
        }
    }
}
