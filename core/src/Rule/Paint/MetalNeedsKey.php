<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Layering\Choice;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Water, alcohol and enamel paint draw back from raised edges of bare metal.',
    speaks: [Severity::Stop],
    rests: 'Handbook 2, Paint families: what bites',
)]
final class MetalNeedsKey implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'metal-needs-key';
    }

    /** What is abraded for a key is abraded before its first coat, and washed after (house rule). */
    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Abrade) as $abrade) {
            foreach ($abrade->isRemedy() ? [] : $abrade->targets as $area) {
                foreach ($context->steps->on($area) as $step) {
                    if (($step->isSprayed() || $step->operation->cleans()) && ! $step->isRemedy() && $step->phase === $abrade->phase) {
                        yield Say::must($abrade, $step, $this, 'Metal is abraded for a key before anything goes on it.');
                    }
                }
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach (Stacks::firstLayers($outlook) as [$area, $substrate, $first]) {
            if (! $substrate->isMetal() || $first->product === null || Choice::holdsOn($first->product, $substrate)) {
                continue;
            }
            $abraded = $outlook->context->surface->area($area->id)->count(Operation::Abrade, 'all') > 0 || $outlook->context->steps->onWith($area->id, Operation::Abrade) !== []
                || array_filter($outlook->context->kit->inserted, static fn ($i): bool => $i->operation === Operation::Abrade && in_array($area->id, $i->targets, true)) !== [];
            if (! $abraded) {
                $fixes = Stacks::keyFixes($outlook, $this, $area, $first, 'lacquer or etch primer');
                if ($first->isPlanned()) {
                    $fixes[] = Say::look($outlook, '', [$area->id], "Abrade {$area->name} for a key", null, Operation::Abrade);
                }
                yield new Finding($this->id(), Severity::Stop, "{$first->word()} on bare {$substrate->word()}", ucfirst($first->product->family->word()).' draws back from the raised edges of bare metal.', [$area->id], $outlook->stepsOf($first), $fixes);
            }
        }
    }
}
