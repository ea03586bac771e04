<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Plan\Constraint;
use AmberStep\Core\Plan\Context;
use AmberStep\Core\Plan\Operation;
use AmberStep\Core\Plan\Step;
use AmberStep\Core\Plan\Strength;

/** Aerials, rails, rods and etched parts that stick out are attached after masking and handling. */
final class FragileLast implements OrdersSteps
{
    public function id(): string
    {
        return 'fragile-last';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Attach) as $attach) {
            if (! $this->isFragile($context, $attach)) {
                continue;
            }
            foreach ($context->steps->all() as $step) {
                $other = $step->operation === Operation::Attach && ! $this->isFragile($context, $step);
                if ($other || $step->operation === Operation::Unmask || $step->operation === Operation::Mask) {
                    yield new Constraint($step->key, $attach->key, Strength::FragileLast, $this->id(), "{$context->nameOf($attach->target)}: what sticks out is broken by masking and handling.");
                }
            }
        }
    }

    private function isFragile(Context $context, Step $attach): bool
    {
        foreach ($context->kit->jointsById[(string) $attach->jointId]->parts ?? [] as $part) {
            if ($context->kit->partsById[$part]->fragile) {
                return true;
            }
        }

        return false;
    }
}
