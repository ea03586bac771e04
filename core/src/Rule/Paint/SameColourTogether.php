<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Step\Together;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;
use AmberStep\Core\Work\Strength;

#[Says(
    'Areas of one colour on different pieces are sprayed together, from one mix: shade differs by batch, coats and weather.',
    speaks: [Severity::Think],
    rests: 'What must match',
)]
final class SameColourTogether implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'same-colour-together';
    }

    public function order(Context $context): iterable
    {
        foreach ($this->groups($context) as $colourId => $first) {
            $colour = $context->kit->colour((string) $colourId);
            $strength = $colour?->mustMatch === true ? Strength::SameColourThatMustMatch : Strength::SameColour;
            $ready = [];
            foreach ($first as $one) {
                $step = $this->preparation($context, $one);
                if ($step !== null) {
                    $ready[$step->key] = [$step->pieceId, ($colour->name ?? 'one colour')." goes on {$context->pieceName($step->pieceId)} in the same spraying."];
                }
            }
            yield new Together((string) $colourId, $ready, array_column($first, 'pieceId', 'key'), $strength, $this->id());
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->circles as $circle) {
            if ($circle->dropped->strength === Strength::SameColourThatMustMatch) {
                $step = $outlook->context->steps->find($circle->dropped->after);
                yield new Finding($this->id(), Severity::Think, 'A colour that must match is sprayed twice', 'Another order keeps its pieces apart: keep enough of one mix for both sprayings.', [$step === null ? '' : $step->counted(), $step === null ? '' : $step->pieceId], [$circle->dropped->before, $circle->dropped->after]);
            }
        }
        yield from $this->leftForAnotherDay($outlook);
    }

    /** @return iterable<Finding> */
    private function leftForAnotherDay(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($this->groups($context) as $colourId => $first) {
            $colour = $context->kit->colour((string) $colourId);
            $times = [];
            foreach ($first as $step) {
                $planned = $outlook->left[$step->key] ?? null;
                $done = $context->surface->area($step->targets[0])->done['colour/'.$step->counted()][0] ?? null;
                $times[$step->pieceId] = $planned->startEpoch ?? $done ?? $context->nowEpoch;
            }
            if ($colour?->mustMatch === true && $times !== [] && max($times) - min($times) > 86400 && count(array_intersect(array_column($first, 'key'), array_keys($outlook->left))) > 0) {
                $late = array_keys($times, max($times), true);
                $days = (int) round((max($times) - min($times)) / 86400);
                yield new Finding($this->id(), Severity::Think, "{$colour->name} is sprayed on different days", "{$context->pieceName((string) $late[0])} follows ".($days === 1 ? 'a day' : "{$days} days").' later: keep the mix, the thinning and the coats the same.', [$colour->id, (string) $late[0]]);
            }
        }
    }

    /** @return array<string, list<Step>> first coats of each colour, where more than one piece wears it */
    private function groups(Context $context): array
    {
        $groups = [];
        foreach ($context->steps->with(Operation::Colour) as $step) {
            if ($step->n === 1 && $step->phase === '' && ! $step->isRemedy()) {
                $groups[$step->counted()][] = $step;
            }
        }

        return array_filter($groups, static fn (array $steps): bool => count($steps) > 1);
    }

    /** The step that must be done for a piece to be ready; a mask that does not stay is laid once all are, over the colour before it. */
    private function preparation(Context $context, Step $first): ?Step
    {
        $own = array_filter($context->steps->ofPiece($first->pieceId), static fn (Step $s): bool => $s->phase === '' && ! $s->isRemedy() && $s->jointId === null && $s->rank < $first->rank);
        $soft = static fn (Step $s): bool => in_array($s->operation, [Operation::Mask, Operation::Unmask], true) && $s->medium?->isSoft() === true;
        $masked = array_filter($own, $soft) !== [];
        $before = null;
        foreach ($own as $step) {
            if (! $soft($step) && ($masked || $step->operation !== Operation::Colour) && ($before === null || [$step->rank, $step->n] > [$before->rank, $before->n])) {
                $before = $step;
            }
        }

        return $before;
    }
}
