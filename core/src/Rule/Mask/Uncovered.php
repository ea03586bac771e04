<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Masking\Register;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\SeesDeeds;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Areas that are not to be sprayed in a stage are covered before it.',
    speaks: [Severity::Stop],
    rests: 'Which areas a stage sprays',
)]
final class Uncovered implements Judges, OrdersSteps, SeesDeeds
{
    public function id(): string
    {
        return 'uncovered';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Mask) as $mask) {
            if ($mask->isRemedy() || MaskFor::all($mask->purpose) || MaskFor::sheen($mask->purpose)) {
                continue;
            }
            $off = $context->steps->find("{$mask->target}/unmask/{$mask->purpose}/{$mask->n}")->rank ?? PHP_INT_MAX;
            foreach ($context->steps->ofPiece($mask->pieceId) as $spray) {
                if (! in_array($spray->operation, [Operation::Colour, Operation::Ground], true) || $spray->phase !== $mask->phase || $spray->isRemedy()) {
                    continue;
                }
                if ($spray->operation === Operation::Colour && $spray->counted() === $mask->counted()) {
                    yield Say::must($spray, $mask, $this, 'An area is capped when its colour is on.');
                } elseif ($spray->rank > $mask->rank && $spray->rank < $off) {
                    yield Say::must($mask, $spray, $this, $this->names($context, $mask).' would be sprayed over.');
                }
            }
        }
    }

    public function deeds(Step $step, World $before): iterable
    {
        return LaidOpen::by($step, $before);
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        // Counted where masks are written down: of eight panes the one that has none.
        foreach ((new Register($context->kit, $context->surface))->panesWithout() as $pane) {
            if ($this->maskLeft($outlook, $pane->id)) {
                yield new Finding($this->id(), Severity::Stop, "{$pane->name} has no mask", 'The others have one each: lay one for it before anything is sprayed, or say in the register which it is.', [$pane->id]);
            }
        }
        foreach ($context->breakdown->pieces as $piece) {
            foreach ($piece->areas as $area) {
                $left = $this->sprayedOver($outlook, $piece->id, $area->id);
                if ($left !== []) {
                    $pins = Say::unpin($context, static fn (Pin $p): bool => $p->operation === Operation::Mask && $p->present === false && in_array($p->target, [null, $area->id, $piece->id], true), 'Mask it after all');
                    $key = (new Finding($this->id(), Severity::Stop, '', '', [$area->id]))->key;
                    yield new Finding($this->id(), Severity::Stop, "{$area->name} is open", "Nothing covers it while {$context->steps->find($left[0])?->operation->word()} is sprayed on {$piece->name}.", [$area->id], $left, Say::fixes([
                        $pins,
                        $pins !== null ? null : Say::look($outlook, $key, [$area->id], "Mask {$area->name} before it is sprayed over", null, Operation::Mask),
                    ]));
                }
            }
        }
    }

    /** @return list<string> keys of sprayings left that would hit an area which has to stay as it is */
    private function sprayedOver(Outlook $outlook, string $pieceId, string $areaId): array
    {
        $context = $outlook->context;
        $area = $context->kit->areasById[$areaId];
        if ($context->surface->area($areaId)->isMasked() || $this->maskLeft($outlook, $areaId) || $context->breakdown->blocks($areaId) !== null) {
            return [];
        }
        $finished = $area->isPane() || ($area->isPainted() && $this->colourIsOn($outlook, $areaId));
        if (! $finished) {
            return [];
        }
        $hits = [];
        foreach ($outlook->leftOfPiece($pieceId) as $planned) {
            $step = $planned->step;
            if ($step->phase !== '' || $step->isRemedy() || ! $step->isSprayed() || in_array($areaId, $step->targets, true)) {
                continue;
            }
            if ($area->isPane() || in_array($step->operation, [Operation::Colour, Operation::Ground], true)) {
                $hits[] = $step->key;
            }
        }

        return $hits;
    }

    private function colourIsOn(Outlook $outlook, string $areaId): bool
    {
        $colour = $outlook->context->kit->areasById[$areaId]->intent->colour;
        foreach ($outlook->leftOn($areaId) as $planned) {
            if ($planned->step->operation === Operation::Colour) {
                // Planned, and everything after it in order would hit it: only masks left out by a pin get here.
                return Stacks::pinned($outlook->context, Operation::Mask, $outlook->context->kit->areasById[$areaId])?->present === false;
            }
        }

        return $colour !== null;
    }

    private function maskLeft(Outlook $outlook, string $areaId): bool
    {
        foreach ($outlook->leftOn($areaId) as $planned) {
            if ($planned->step->operation === Operation::Mask) {
                return true;
            }
        }

        return false;
    }

    private function names(Context $context, Step $mask): string
    {
        return Names::listed(array_map($context->areaName(...), $mask->targets));
    }
}
