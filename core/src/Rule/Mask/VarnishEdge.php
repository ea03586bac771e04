<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Where two sheens meet the glossier is sprayed first and capped; up to 2 cm² of one is brushed when the other is on.',
    speaks: [Severity::Stop],
    rests: 'Satin mist on gloss is seen; tape on a dull coat burnishes it',
)]
final class VarnishEdge implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'varnish-edge';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Mask) as $mask) {
            $off = $context->steps->find("{$mask->target}/unmask/{$mask->purpose}/{$mask->n}");
            if ($off === null || ! MaskFor::sheen($mask->purpose)) {
                continue;
            }
            yield Say::must($mask, $off, $this, 'What is put on is taken off.');
            foreach ($this->finals($context, $mask) as $final) {
                yield $final->rank < $mask->rank
                    ? Say::must($final, $mask, $this, 'It is capped when its own coat is on.')
                    : Say::must($mask, $final, $this, "{$final->counted()} beside it is a mist on what shines otherwise.");
                yield $final->isSprayed()
                    ? Say::must($final, $off, $this, 'The mask stays until the last sheen is sprayed.')
                    : Say::must($off, $final, $this, 'What is brushed comes last, with all masks off.');
            }
            foreach ($context->steps->ofPiece($mask->pieceId) as $before) {
                if ($before->phase === '' && ! $before->isRemedy() && $before->rank < $mask->rank && $before->operation !== Operation::Final && ($before->operation === Operation::Unmask || $before->operation->leavesLayer()) && ! MaskFor::all($before->purpose)) {
                    yield Say::must($before, $mask, $this, 'It is capped when all is on it but the last coat of the others.');
                }
            }
        }
        foreach ($context->steps->with(Operation::Final) as $brushed) {
            foreach ($brushed->isSprayed() ? [] : $this->finals($context, $brushed) as $final) {
                if ($final->isSprayed()) {
                    yield Say::must($final, $brushed, $this, 'Too little for a mask: it is brushed when the other is on.');
                }
            }
        }
    }

    /** A mask that was left out by a pin, where it would have kept one sheen from the other. */
    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->breakdown->pieces as $piece) {
            foreach ($piece->areas as $area) {
                $own = $context->surface->area($area->id)->isMasked() ? null : $this->finalOn($outlook, $area->id);
                if ($own === null) {
                    continue;
                }
                foreach ($context->kit->edgesOf($area->id) as $edge) {
                    $other = $edge->areas[$edge->areas[0] === $area->id ? 1 : 0];
                    $final = $this->finalOn($outlook, $other);
                    $mist = $edge->kind === EdgeKind::Hard && $final !== null && $final->isSprayed() && $final->pieceId === $piece->id && $final->rank > $own->rank;
                    if ($mist && $this->isPinnedAway($context, $own, $area->id)) {
                        yield new Finding($this->id(), Severity::Stop, "{$area->name} is open", "Nothing covers its {$own->counted()} while {$final->counted()} is sprayed along its edge.", [$area->id], [$final->key], Say::fixes([
                            Say::unpin($context, static fn (Pin $p): bool => $p->operation === Operation::Mask && $p->present === false && $p->concerns(Operation::Mask, $own->counted(), $piece->id, $area->id), 'Mask it after all'),
                        ]));
                        break;
                    }
                }
            }
        }
    }

    private function finalOn(Outlook $outlook, string $area): ?Step
    {
        foreach ($outlook->context->steps->on($area) as $step) {
            if ($step->operation === Operation::Final && $step->phase === '' && ! $step->isRemedy()) {
                return $step;
            }
        }

        return null;
    }

    private function isPinnedAway(Context $context, Step $own, string $area): bool
    {
        return $own->isSprayed() && $context->steps->find("{$own->pieceId}/mask/{$own->counted()}/1") === null
            && array_filter($context->kit->pins, static fn (Pin $p): bool => $p->present === false && $p->concerns(Operation::Mask, $own->counted(), $own->pieceId, $area)) !== [];
    }

    /** @return list<Step> */
    private function finals(Context $context, Step $step): array
    {
        return array_values(array_filter($context->steps->ofPiece($step->pieceId), static fn (Step $s): bool => $s->operation === Operation::Final && $s->phase === '' && ! $s->isRemedy()));
    }
}
