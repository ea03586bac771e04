<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Circle;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;
use AmberStep\Core\Work\Strength;

#[Says(
    'What you set before something else comes before it; what contradicts the trade is a stop.',
    speaks: [Severity::Stop],
    rests: 'The order the user set',
)]
final class UserOrder implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'your-order';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->kit->orders as $order) {
            yield new Constraint($order->first, $order->then, Strength::User, $this->id(), 'You want it first.');
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->circles as $circle) {
            if (! $circle->isOfMusts()) {
                continue;
            }
            $rule = $this->id();
            $words = [];
            foreach ($circle->chain as $constraint) {
                if ($constraint->strength === Strength::Must && ($rule === $this->id() || $rule === 'trade-order')) {
                    $rule = $constraint->rule;
                }
                $words[] = $constraint->sentence;
            }
            yield new Finding($rule, Severity::Stop, 'This order bites its own tail', implode(' But: ', array_unique($words)), $this->targets($circle, $outlook->context), array_column($circle->chain, 'before'), $this->fixes($circle, $outlook->context), acceptable: false);
        }
    }

    /** @return list<string> */
    private function targets(Circle $circle, Context $context): array
    {
        $targets = [];
        foreach ($circle->chain as $constraint) {
            $targets[] = $context->steps->find($constraint->after)->target ?? $constraint->after;
        }

        return array_values(array_unique($targets));
    }

    /** @return list<Fix> */
    private function fixes(Circle $circle, Context $context): array
    {
        $fixes = [];
        foreach ($context->kit->orders as $order) {
            foreach ($circle->chain as $constraint) {
                if ($constraint->strength === Strength::User && $constraint->before === $order->first && $constraint->after === $order->then) {
                    $fixes[] = new Fix('Take your order back', [Edit::remove('orders', $order->id)]);
                }
            }
        }

        return $fixes;
    }
}
