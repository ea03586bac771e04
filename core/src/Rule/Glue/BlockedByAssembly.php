<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'What the gun cannot see once a joint is closed is painted before it is.',
    speaks: [Severity::Stop],
    rests: 'What a joint is said to block',
)]
final class BlockedByAssembly implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'blocked-by-assembly';
    }

    public function order(Context $context): iterable
    {
        $bared = [];
        foreach ($context->steps->with(Operation::MaskFaces) as $mask) {
            $bared[$mask->purpose][] = $mask;
        }
        foreach ($context->kit->joints as $joint) {
            $join = $context->steps->find("{$joint->id}/glue/all/1") ?? $context->steps->find("{$joint->id}/attach/all/1");
            if ($join === null) {
                continue;
            }
            foreach ($joint->blocks as $area) {
                foreach ($context->steps->on($area) as $step) {
                    // What covers an opening goes on once it is closed in.
                    if (! $step->isRemedy() && $step->purpose !== MaskFor::OPENING) {
                        yield Say::must($step, $join, $this, "{$context->areaName($area)} cannot be reached once {$joint->name} is closed.");
                    }
                }
            }
            yield from Say::all($bared[$joint->id] ?? [], [$join], $this, "The faces of {$joint->name} are bared before it is glued.");
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->joints as $joint) {
            if ($context->surface->joint($joint->id)->closedAt === null) {
                continue;
            }
            foreach ($joint->blocks as $area) {
                $left = array_values(array_filter($outlook->leftOn($area), static fn ($p): bool => ! $p->step->isRemedy() && $p->step->operation->leavesLayer()));
                if ($left === []) {
                    continue;
                }
                $name = $context->areaName($area);
                $colour = $context->kit->colour($context->kit->areasById[$area]->intent->colour)->name ?? 'paint';
                yield new Finding($this->id(), Severity::Stop, "{$name} is shut in", "{$joint->name} is closed, and {$name} still wants {$colour}: the gun cannot see it.", [$area, $joint->id], array_map(static fn ($p): string => $p->step->key, $left), [
                    new Fix("Reach {$name} with a brush", [Edit::set('joints', $joint->id, 'blocks', array_values(array_diff($joint->blocks, [$area])))]),
                    new Fix("Leave {$name} as it is", [Edit::set('areas', $area, 'intent', (new \AmberStep\Core\Kit\Intent)->toArray()), Edit::set('areas', $area, 'face', 'inside')]),
                ]);
            }
        }
    }
}
