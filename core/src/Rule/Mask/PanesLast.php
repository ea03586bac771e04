<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Panes stay covered until the last sprayed coat, matt included: matt frosts clear.',
    speaks: [Severity::Think],
    rests: 'The last sprayed coat',
)]
final class PanesLast implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'panes-last';
    }

    public function order(Context $context): iterable
    {
        foreach ([Operation::Mask, Operation::Unmask] as $operation) {
            foreach ($context->steps->with($operation) as $mask) {
                if (! in_array($mask->purpose, [MaskFor::PANES, MaskFor::BARE], true)) {
                    continue;
                }
                foreach ($context->steps->ofPiece($mask->pieceId) as $spray) {
                    if (! $spray->operation->sprays() || $spray->phase !== '' || $spray->isRemedy()) {
                        continue;
                    }
                    yield $operation === Operation::Mask
                        ? Say::must($mask, $spray, $this, 'Panes are covered before anything is sprayed.')
                        : Say::must($spray, $mask, $this, 'Panes stay covered until the last sprayed coat.');
                }
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->breakdown->pieces as $piece) {
            $panes = array_values(array_filter($piece->areas, static fn ($a): bool => $a->isPane()));
            $sprays = array_values(array_filter($outlook->leftOfPiece($piece->id), static fn ($p): bool => $p->step->operation->sprays() && $p->step->phase === ''));
            if ($panes === [] || $sprays === []) {
                continue;
            }
            foreach ($panes as $pane) {
                $state = $context->surface->area($pane->id);
                $taken = $state->count(Operation::Unmask, MaskFor::PANES) + $state->count(Operation::Unmask, '*') > 0 && ! $state->isMasked();
                $again = array_filter($outlook->leftOn($pane->id), static fn ($p): bool => $p->step->operation === Operation::Mask);
                if ($taken && $again === []) {
                    $key = (new Finding($this->id(), Severity::Think, '', '', [$pane->id]))->key;
                    yield new Finding($this->id(), Severity::Think, "{$pane->name} is bare, and coats are still to come", count($sprays).' sprayings are left on '.$piece->name.': overspray and matt frost clear plastic.', [$pane->id], [], [
                        Say::look($outlook, $key, [$pane->id], 'Mask the pane again before the next coat', null, Operation::Mask),
                    ]);
                }
            }
        }
    }
}
