<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\Operation;

/**
 * A plan as somebody at the bench reads it.
 *
 * @phpstan-import-type Deed from Assembly
 */
final class Deeds
{
    /** @return list<Deed> the plan as somebody at the bench reads it: what is done, when, to what, by name */
    public static function of(Plan $plan): array
    {
        $kit = $plan->context->kit;
        $name = static fn (string $id): string => (string) ($kit->areasById[$id]->name ?? $kit->jointsById[$id]->name ?? $kit->partsById[$id]->name ?? $id);

        return array_values(array_map(static fn (PlannedStep $p): array => [
            'at' => $p->startEpoch, 'do' => $p->step->operation->value, 'on' => array_values(array_map($name, array_filter($p->step->targets, static fn (string $t): bool => isset($kit->areasById[$t])))),
            'joint' => $p->step->jointId === null || ! $p->step->operation->joins() ? null : $name($p->step->jointId), 'piece' => array_map(static fn ($part): string => $part->name, $plan->context->breakdown->byId[$p->step->pieceId]->parts ?? []),
            'family' => $p->step->isSprayed() ? $p->step->product?->family->value : null, 'for' => $p->step->operation === Operation::Mask || $p->step->operation === Operation::Unmask ? $p->step->counted() : $name($p->step->counted()),
        ], $plan->byTime()));
    }
}
