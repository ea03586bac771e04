<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Layering\BuildSteps;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\SeesDeeds;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Misdeed;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Enamel and two-part take another coat early or late; between the windows they wrinkle or do not bond.',
    speaks: [Severity::Stop],
    rests: 'Handbook 2, Paint families: the recoat windows',
)]
final class EnamelWindow implements OrdersHolds, OrdersSteps, SeesDeeds
{
    public function id(): string
    {
        return 'enamel-window';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Abrade) as $scuff) {
            foreach ($scuff->counted() === BuildSteps::SCUFF ? $scuff->targets : [] as $area) {
                foreach ($context->steps->on($area) as $coat) {
                    if ($coat->operation->isVarnish() && $coat->product?->family === Family::TwoPart && ! $coat->isRemedy() && $coat->n > $context->surface->area($area)->count($coat->operation, $coat->counted())) {
                        yield Say::must($scuff, $coat, $this, 'Past its window two-part takes another coat scuffed, or not at all.');
                    }
                }
            }
        }
    }

    public function concerns(Operation $operation): bool
    {
        return $operation->leavesLayer() || $operation === Operation::Abrade;
    }

    public function holds(Step $step, World $world): iterable
    {
        $scuffs = $step->operation === Operation::Abrade && $step->counted() === BuildSteps::SCUFF;
        if ($step->product === null && ! $scuffs) {
            return;
        }
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            $top = $state->top();
            $figures = $top?->product?->family->figures();
            if ($top === null || $top->wash() !== null || $figures === null || $top->product === null || $figures->firstWindowMinutes === null || $figures->secondWindowMinutes === null || (! $scuffs && $top->product->liquid() !== $step->product?->liquid())) {
                continue;
            }
            $last = $top->lastCoat()->atEpoch;
            // The closing end shrinks with heat and never grows with cold.
            $closes = min($last + 60 * $figures->firstWindowMinutes, $world->waits->plain($last, $figures->firstWindowMinutes, $figures->driesBy, $state->stays)->untilEpoch);
            $opens = $world->waits->plain($last, $figures->secondWindowMinutes, $figures->driesBy, $state->stays, $top->lastCoat()->eventId);
            yield new Hold(HoldKind::Window, $target, $closes, max($closes, $opens->untilEpoch), $this->id(), 'the last coat of '.$top->word(), $opens);
        }
    }

    /** Once its first window is over, two-part takes another coat scuffed or not at all. */
    public function deeds(Step $step, World $before): iterable
    {
        foreach ($step->isSprayed() && $step->product?->family === Family::TwoPart ? $step->targets : [] as $target) {
            $state = $before->state($target);
            $top = $state->top();
            $window = $top?->product?->family === Family::TwoPart ? $top->product->family->figures()->firstWindowMinutes : null;
            if ($top === null || $window === null || $before->nowEpoch <= $top->lastCoat()->atEpoch + 60 * $window) {
                continue;
            }
            if (! $state->isSandedSince($top->lastCoat()->atEpoch)) {
                yield new Misdeed(Severity::Stop, "{$top->product?->name} sprayed unscuffed", sprintf('Its last coat was %d h old: past its window of %d h the next one does not bond unless it is scuffed.', intdiv($before->nowEpoch - $top->lastCoat()->atEpoch, 3600), intdiv($window, 60)), $target, 'Try tape on it where it will not show; scuff and coat it again where it lifts');
            }
        }
    }
}
