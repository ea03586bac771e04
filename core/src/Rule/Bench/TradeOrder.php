<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\RemedySteps;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

#[Says(
    'A layer goes on the one below it; remedies come before what follows; what is joined last is finished first.',
    speaks: [],
    rests: 'Handbook 1, the order in which it is done',
)]
final class TradeOrder implements OrdersSteps
{
    public function id(): string
    {
        return 'trade-order';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->kit->areas as $area) {
            yield from $this->layers($context->steps->on($area->id));
        }
        foreach ($context->steps->all() as $step) {
            if ($step->operation === Operation::Mount) {
                $washes = array_values(array_filter($context->steps->ofPiece($step->pieceId), static fn (Step $s): bool => $s->operation->cleans() && ! $s->isRemedy() && $s->phase === ''));
                yield from Say::all($washes, [$step], $this, 'A piece is washed, then put on its holder: no hand touches it after.');
                yield from Say::all([$step], $this->sprays($context, $step->pieceId), $this, 'A piece is put on its holder before it is sprayed.');
            } elseif ($step->operation === Operation::TouchUp) {
                foreach ($context->steps->ofPiece($step->pieceId) as $other) {
                    if ($other->operation->leavesLayer() && ! $other->isRemedy()) {
                        yield $other->rank < $step->rank ? Say::must($other, $step, $this, 'The gates are touched up once the colour is on.') : Say::must($step, $other, $this, 'Clear coats go over the touched-up gates.');
                    }
                }
            } elseif ($step->operation === Operation::Cabinet && ! $step->isRemedy()) {
                yield from $this->drying($context, $step);
            } elseif ($step->operation === Operation::Attach && $step->inserted === null) {
                yield from $this->attach($context, $step);
            } elseif ($step->isRemedy() && ! $step->throughPaint) {
                yield from $this->remedy($context, $step);
            }
        }
    }

    /**
     * @param  list<Step>  $steps
     * @return iterable<\AmberStep\Core\Step\Constraint>
     */
    private function layers(array $steps): iterable
    {
        $layers = array_values(array_filter($steps, static fn (Step $s): bool => ($s->operation->leavesLayer() || $s->operation === Operation::Decal || $s->operation === Operation::Polish) && ! $s->isRemedy()));
        usort($layers, static fn (Step $a, Step $b): int => [$a->rank, $a->n] <=> [$b->rank, $b->n]);
        for ($i = 1; $i < count($layers); $i++) {
            [$below, $above] = [$layers[$i - 1], $layers[$i]];
            $sentence = $below->stage() === $above->stage()
                ? "Coat {$above->n} goes on coat {$below->n}."
                : ucfirst($above->operation->word())." goes on {$below->operation->word()}.";
            yield Say::must($below, $above, $this, $sentence);
        }
    }

    /** @return iterable<\AmberStep\Core\Step\Constraint> */
    private function drying(Context $context, Step $cabinet): iterable
    {
        foreach ($context->steps->ofPiece($cabinet->pieceId) as $step) {
            if ($step->isRemedy() || $step->phase !== '' || $step->jointId !== null || $step->operation === Operation::Cabinet) {
                continue;
            }
            if ($step->rank > $cabinet->rank) {
                yield Say::must($cabinet, $step, $this, 'It dries warm before it is handled again (house rule).');
            } elseif ($step->operation->leavesLayer() || $step->operation === Operation::Unmask) {
                yield Say::must($step, $cabinet, $this, 'It goes into the warm once the coat is on.');
            }
        }
    }

    /** @return iterable<\AmberStep\Core\Step\Constraint> */
    private function attach(Context $context, Step $attach): iterable
    {
        $joint = $context->kit->jointsById[(string) $attach->jointId];
        foreach ($context->breakdown->sides($joint) as $piece) {
            foreach ($context->steps->ofPiece($piece->id) as $step) {
                if ($step->jointId === null && ! $step->isRemedy()) {
                    yield Say::must($step, $attach, $this, "{$piece->name} is finished before it is attached.");
                }
            }
        }
    }

    /** @return iterable<\AmberStep\Core\Step\Constraint> */
    private function remedy(Context $context, Step $remedy): iterable
    {
        foreach ($remedy->targets as $target) {
            foreach ($context->steps->on($target) as $step) {
                if ($step->isRemedy()) {
                    if ($step->purpose === $remedy->purpose && $step->n === $remedy->n + 1) {
                        yield Say::must($remedy, $step, $this, 'A remedy is done in its order.');
                    }
                } elseif ($remedy->fault !== null) {
                    yield Say::must($remedy, $step, $this, 'What went wrong is put right before anything else goes on it.');
                } elseif ($remedy->inserted !== null && RemedySteps::isBefore($remedy->inserted, $step)) {
                    yield Say::must($remedy, $step, $this, "{$remedy->title}, first.");
                } elseif (($remedy->operation->leavesLayer() || ($remedy->operation->sands() && $remedy->inserted?->before !== null)) && ($step->operation->leavesLayer() || $step->operation === Operation::Decal) && $step->rank < $remedy->rank) {
                    yield Say::must($step, $remedy, $this, ucfirst($remedy->operation->word())." goes on {$step->operation->word()}.");
                }
            }
        }
    }

    /** @return list<Step> */
    private function sprays(Context $context, string $pieceId): array
    {
        return array_values(array_filter($context->steps->ofPiece($pieceId), static fn (Step $s): bool => $s->operation->sprays() && $s->phase === '' && ! $s->isRemedy()));
    }
}
