<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

#[Says(
    'After primer, before gloss and before the final coat the piece is looked over: the last cheap moment.',
    speaks: [],
    rests: 'House rule of inspection: none, one, three, or until clean',
)]
final class InspectBetween implements OrdersSteps
{
    public function id(): string
    {
        return 'inspect-between';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->all() as $look) {
            $round = $look->operation === Operation::Flat && $look->purpose === 'round';
            if ($look->isRemedy() || ! ($look->operation === Operation::Inspect || $round)) {
                continue;
            }
            foreach ($context->steps->ofPiece($look->pieceId) as $step) {
                if ($step->phase !== '' || $step->isRemedy() || $step->key === $look->key || array_intersect($step->targets, $look->targets) === []) {
                    continue;
                }
                if ($step->rank < $look->rank && ($step->operation->leavesLayer() || $step->operation === Operation::Decal || $this->isRound($step))) {
                    yield Say::must($step, $look, $this, "It is looked over after {$step->operation->word()}.");
                } elseif ($step->rank > $look->rank && ($step->operation->leavesLayer() || $step->operation === Operation::Decal || $this->isRound($step))) {
                    yield Say::must($look, $step, $this, "A fault found before {$step->operation->word()} is still cheap.");
                }
            }
        }
    }

    private function isRound(Step $step): bool
    {
        return $step->purpose === 'round' || ($step->operation === Operation::Inspect && $step->purpose === Operation::Prime->value);
    }
}
