<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Work\Operation;

#[Says(
    'Panes stay covered until the last sprayed coat, matt included: matt frosts clear.',
    speaks: [],
    rests: 'The last sprayed coat',
)]
final class PanesLast implements OrdersSteps
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
                    if (! $spray->isSprayed() || $spray->phase !== '' || $spray->isRemedy()) {
                        continue;
                    }
                    yield $operation === Operation::Mask
                        ? Say::must($mask, $spray, $this, 'Panes are covered before anything is sprayed.')
                        : Say::must($spray, $mask, $this, 'Panes stay covered until the last sprayed coat.');
                }
            }
        }
    }
}
