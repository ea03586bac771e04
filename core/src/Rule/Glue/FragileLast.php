<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;
use AmberStep\Core\Work\Strength;

#[Says(
    'Aerials, rails, rods and etched parts that stick out are attached after masking and handling.',
    speaks: [Severity::Think],
    rests: 'Parts said to stick out',
)]
final class FragileLast implements Judges, OrdersSteps
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

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->joints as $joint) {
            $fragile = array_values(array_filter($joint->parts, static fn (string $p): bool => $context->kit->partsById[$p]->fragile));
            $early = $context->steps->find("{$joint->id}/glue/all/1") !== null && $context->surface->joint($joint->id)->closedAt === null;
            if (count($fragile) !== 1 || ! $early) {
                continue;
            }
            $masked = array_filter($outlook->left, static fn ($p): bool => $p->step->operation === Operation::Mask && $p->step->pieceId === $context->breakdown->pieceAt($joint->id)?->id) !== [];
            $name = $context->kit->partsById[$fragile[0]]->name;
            yield new Finding($this->id(), Severity::Think, "{$name} sticks out while the rest is painted", $masked ? "{$joint->name} is closed before paint: masking and handling break {$name}." : "{$joint->name} is closed before paint: sanding and handling break {$name}.", [$joint->id], ["{$joint->id}/glue/all/1"], [
                new Fix("Paint {$name} apart, attach it last", [Edit::set('joints', $joint->id, 'closed', 'after')]),
            ]);
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
