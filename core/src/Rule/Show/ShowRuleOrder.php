<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Show;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

#[Says(
    'What a show asks for has its place in the plan; what it forbids is parked and its steps are gone.',
    speaks: [],
    rests: 'What the show asks for and forbids',
)]
final class ShowRuleOrder implements OrdersSteps
{
    public function id(): string
    {
        return 'show-rule';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Photograph) as $photograph) {
            $others = array_values(array_filter($context->steps->all(), static fn (Step $s): bool => ! $s->operation->isOfTheBuild() && ! $s->isRemedy()));
            if ($photograph->isRemedy()) {
                continue;
            }
            if ($photograph->purpose === 'bare') {
                yield from Say::all([$photograph], array_values(array_filter($others, static fn (Step $s): bool => $s->operation->sprays())), $this, 'The show wants photographs from before paint.');
            } else {
                yield from Say::all($others, [$photograph], $this, 'The show wants photographs of the finished build.');
            }
        }
    }
}
