<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'Liquid mask is scored round its edge before it is lifted, once all paint over it takes tape: it tears the paint otherwise.',
    speaks: [],
    rests: 'Handbook 7, Laying and lifting: a mask tears paint when paint bridges the edge',
)]
final class ScoreBeforeLift implements OrdersHolds, OrdersSteps
{
    public function id(): string
    {
        return 'score-before-lift';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Score) as $score) {
            $unmask = $context->steps->find("{$score->target}/unmask/{$score->purpose}/1");
            $mask = $context->steps->find("{$score->target}/mask/{$score->purpose}/1");
            if ($unmask !== null && $mask !== null) {
                yield Say::must($score, $unmask, $this, 'Scored first, or the paint tears with the mask.');
                $over = array_values(array_filter($context->steps->ofPiece($score->pieceId), static fn (Step $s): bool => $s->operation->sprays() && ! $s->isRemedy() && $s->phase === $score->phase && $s->rank > $mask->rank && $s->rank < $score->rank));
                yield from Say::all([$mask, ...$over], [$score], $this, 'The edge is scored when the last coat over it is on.');
            }
        }
    }

    public function concerns(Operation $operation): bool
    {
        return $operation === Operation::Score || $operation === Operation::Unmask;
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($step->medium === Medium::LiquidMask ? $world->breakdown->byId[$step->pieceId]->areas ?? [] : [] as $area) {
            $state = $world->state($area->id);
            $top = in_array($area->id, $step->targets, true) ? null : $state->top();
            if ($top?->product !== null) {
                $wait = $world->waits->of($top, WaitKind::TapeSafe, $state);
                yield new Hold(HoldKind::TapeSafe, $area->id, $wait->fromEpoch, $wait->untilEpoch, $this->id(), $top->word().' over liquid mask', $wait);
            }
        }
    }
}
