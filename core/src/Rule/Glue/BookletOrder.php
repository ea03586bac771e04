<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Booklet\Gluing;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Strength;

#[Says(
    'Gluing goes by the booklet, since the fit depends on it; any stronger rule may turn it round.',
    speaks: [],
    rests: 'The steps of the booklet',
)]
final class BookletOrder implements OrdersSteps
{
    public function id(): string
    {
        return 'booklet-order';
    }

    public function order(Context $context): iterable
    {
        // Before paint and after it are two runs through the booklet: the one does not wait for the other.
        foreach ([Operation::Glue, Operation::Attach] as $operation) {
            $byStep = [];
            foreach (Gluing::inOrder($context->kit) as $joint) {
                $join = $context->steps->find("{$joint->id}/{$operation->value}/all/1");
                if ($join !== null) {
                    $byStep[(int) $joint->stepIn($context->kit)][] = $join;
                }
            }
            yield from $this->chain($byStep, $context);
        }
    }

    /**
     * @param  array<int, non-empty-list<Step>>  $byStep
     * @return iterable<Constraint>
     */
    private function chain(array $byStep, Context $context): iterable
    {
        $before = null;
        foreach ($byStep as $step => $joins) {
            foreach ($before === null ? [] : $byStep[$before] as $earlier) {
                foreach ($joins as $later) {
                    yield new Constraint($earlier->key, $later->key, Strength::BookletOrder, $this->id(), "The booklet glues {$context->nameOf($earlier->target)} at step {$before}, {$context->nameOf($later->target)} at step {$step}.");
                }
            }
            $before = $step;
        }
    }
}
