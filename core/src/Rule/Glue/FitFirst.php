<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Fit;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Strength;

#[Says(
    'Where the booklet leaves the order free, what fits worst is glued first, while both its sides can be reached.',
    speaks: [],
    rests: 'Handbook 4: from 0.3 mm a joint gapes',
)]
final class FitFirst implements OrdersSteps
{
    public function id(): string
    {
        return 'fit-first';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->kit->joints as $joint) {
            $join = self::join($joint->id, $context);
            if ($join === null) {
                continue;
            }
            foreach (Fit::waiting($joint, $context) as $other) {
                $later = self::join($other->id, $context);
                if ($later !== null) {
                    yield new Constraint($join->key, $later->key, Strength::Fit, $this->id(), ucfirst($joint->name).' '.Fit::words($joint)." and is glued before {$other->name}, while both its sides can still be reached.");
                }
            }
        }
    }

    private static function join(string $joint, Context $context): ?Step
    {
        return $context->steps->find("{$joint}/".Operation::Glue->value.'/all/1') ?? $context->steps->find("{$joint}/".Operation::Attach->value.'/all/1');
    }
}
