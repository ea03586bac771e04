<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Layering\BuildSteps;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Paint\FixRunsHard;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'Sanding waits for sand-safe paint; a remedy waits for the state it names.',
    speaks: [],
    rests: 'Handbook 2, Paint families: sand-safe',
)]
final class StateFirst implements OrdersHolds
{
    public function id(): string
    {
        return 'sand-safe';
    }

    public function concerns(Operation $operation): bool
    {
        return true;
    }

    public function holds(Step $step, World $world): iterable
    {
        return in_array($step->fault, FixRunsHard::RUBBED, true) ? [] : self::untilReached($step, $world, $this->id());
    }

    /** @return iterable<Hold> until all layers of the step's areas have reached the state it waits for */
    public static function untilReached(Step $step, World $world, string $rule): iterable
    {
        $kind = $step->waitsFor ?? ($step->operation->sands() && $step->jointId === null && $step->counted() !== BuildSteps::SCUFF ? WaitKind::SandSafe : null);
        if ($kind === null) {
            return;
        }
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            foreach ($state->layers as $layer) {
                if ($layer->product === null) {
                    continue;
                }
                $wait = $world->waits->of($layer, $kind, $state);
                $until = $wait->fromEpoch + (int) (($wait->untilEpoch - $wait->fromEpoch) * $step->waitFactor);
                yield new Hold(self::hold($kind), $target, $wait->fromEpoch, $until, $rule, $layer->word(), $wait);
            }
        }
    }

    private static function hold(WaitKind $kind): HoldKind
    {
        return match ($kind) {
            WaitKind::Flash => HoldKind::Flash,
            WaitKind::Recoat => HoldKind::Recoat,
            WaitKind::TouchDry => HoldKind::Touch,
            WaitKind::TapeSafe => HoldKind::TapeSafe,
            WaitKind::SandSafe => HoldKind::SandSafe,
            WaitKind::Cured => HoldKind::Cured,
        };
    }
}
