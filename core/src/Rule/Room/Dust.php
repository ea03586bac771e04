<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Room;

use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\ShutsGates;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'Nobody sands in a room where paint is tacky: the dust settles in it.',
    speaks: [],
    rests: 'Handbook 2, Paint families: touch dry',
)]
final class Dust implements ShutsGates
{
    public function id(): string
    {
        return 'dust';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation->sands();
    }

    public function holds(Step $step, World $world): iterable
    {
        // Wet, the dust stays in the water (house rule).
        if ($world->house->says('sanding', 'wet')) {
            return;
        }
        yield from $world->anywhere($this->id(), fn (): array => $this->tacky($world));
    }

    public function passes(Step $step, World $world): array
    {
        return $world->house->says('sanding', 'wet') ? [] : [self::AIR];
    }

    public function shuts(Step $step, World $world): iterable
    {
        foreach ($step->operation->leavesLayer() ? $step->targets : [] as $target) {
            $top = $world->state($target)->top();
            if ($top?->product !== null) {
                yield [self::AIR, $world->waits->of($top, WaitKind::TouchDry, $world->state($target))];
            }
        }
    }

    /** @return list<Hold> */
    private function tacky(World $world): array
    {
        $known = $holds = [];
        foreach ($world->surface->areas() as $id => $state) {
            $top = $state->top();
            if ($top?->product === null || $state->isMasked() || isset($known[$top->mark])) {
                continue;
            }
            $known[$top->mark] = true;
            foreach ([$top, $top->asLaid()] as $layer) {
                if ($layer !== null) {
                    $wait = $world->waits->of($layer, WaitKind::TouchDry, $state);
                    $holds[] = new Hold(HoldKind::Touch, (string) $id, $wait->fromEpoch, $wait->untilEpoch, $this->id(), 'tacky '.$layer->word(), $wait);
                }
            }
        }

        return $holds;
    }
}
