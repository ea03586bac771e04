<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A mask comes off when no later colour needs it: coat over it touch dry, before twice its tape-safe time.',
    speaks: [Severity::Think],
    rests: 'Handbook 2, Mask media: over it touch dry, before twice its tape-safe time',
)]
final class UnmaskWhen implements Judges, OrdersHolds, OrdersSteps
{
    public function id(): string
    {
        return 'unmask-when';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Unmask) as $unmask) {
            if ($unmask->isRemedy() || MaskFor::all($unmask->purpose) || MaskFor::sheen($unmask->purpose)) {
                continue;
            }
            foreach ($context->steps->ofPiece($unmask->pieceId) as $step) {
                if ($step->phase !== $unmask->phase || $step->isRemedy()) {
                    continue;
                }
                if ($step->operation === Operation::Colour || $step->operation === Operation::Ground) {
                    if ($step->rank < $unmask->rank) {
                        yield Say::must($step, $unmask, $this, $unmask->n < $unmask->of ? 'The putty stays until the coat beside it is on.' : 'The mask stays until the last colour of the piece is on.');
                    }
                } elseif (($step->operation === Operation::Inspect && $step->purpose !== Operation::Prime->value) || $step->operation->isVarnish() || $step->operation->isWash() || $step->operation === Operation::Decal) {
                    yield Say::must($unmask, $step, $this, 'Once no colour needs it the mask comes off, before clear or a wash goes over its edge.');
                }
            }
            $mask = $context->steps->find("{$unmask->target}/mask/{$unmask->purpose}/{$unmask->n}");
            if ($mask !== null) {
                yield Say::must($mask, $unmask, $this, 'What is put on is taken off.');
            }
            $again = $context->steps->find("{$unmask->target}/mask/{$unmask->purpose}/".($unmask->n + 1));
            if ($again !== null) {
                yield Say::must($unmask, $again, $this, 'It is lifted before it is laid again.');
            }
        }
    }

    public function concerns(Operation $operation): bool
    {
        return $operation === Operation::Unmask;
    }

    public function holds(Step $step, World $world): iterable
    {
        if ($step->phase !== '' || MaskFor::all($step->purpose)) {
            return;
        }
        foreach ($world->breakdown->byId[$step->pieceId]->areas ?? [] as $area) {
            $state = $world->state($area->id);
            $top = $state->top();
            if ($top?->product === null || in_array($area->id, $step->targets, true)) {
                continue;
            }
            $wait = $world->waits->of($top, WaitKind::TapeSafe, $state);
            // Liquid mask is scored, and waits for tape-safe paint instead (rule score-before-lift).
            if ($step->medium !== Medium::LiquidMask) {
                $late = $wait->fromEpoch + 2 * ($wait->untilEpoch - $wait->fromEpoch);
                yield new Hold(HoldKind::Window, $area->id, $late, $late, $this->id(), $top->word().' hardens over the edge of the mask', $wait);
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            if ($step->operation !== Operation::Unmask || $planned->shutBy() !== null || $step->isRemedy()) {
                continue;
            }
            $late = [];
            foreach ($planned->holds as $hold) {
                if ($hold->rule === $this->id() && $hold->kind === HoldKind::Window) {
                    $late[] = $hold->fromEpoch;
                }
            }
            if ($late !== [] && max($late) < $context->nowEpoch) {
                $since = Instant::wall(max($late), $context->nowEpoch, $context->kit->zone);
                yield new Finding($this->id(), Severity::Think, "The mask on {$context->pieceName($step->pieceId)} should be off", "Since {$since} the paint has been hard over its edge: score the line before you lift it.", [$step->pieceId, ...$step->targets], [$step->key], [
                    Say::look($outlook, (new Finding($this->id(), Severity::Think, '', '', [$step->pieceId, ...$step->targets]))->key, [$step->targets[0], ...array_slice($step->targets, 1)], 'Score along the edge of the mask', null, Operation::Look),
                ]);
            }
        }
    }
}
