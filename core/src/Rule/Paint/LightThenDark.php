<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Layering\ColourOrder;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Hiding;
use AmberStep\Core\Mixing\Coverage;
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
    'Light before dark where areas meet: dark hides light in fewer coats than the other way round. Not under metallics.',
    speaks: [Severity::Think],
    rests: 'Five in L*, and the coats it costs',
)]
final class LightThenDark implements Judges, OrdersSteps
{
    /** Nearer than this in L* it makes no odds. */
    private const DIFFERENCE = 5;

    public function id(): string
    {
        return 'light-then-dark';
    }

    public function order(Context $context): iterable
    {
        foreach ($this->meeting($context) as [$light, $dark]) {
            if ($light->rank < $dark->rank) {
                yield new Constraint($light->key, $dark->key, Strength::LightThenDark, $this->id(), 'Light goes before dark: dark covers light in fewer coats.');
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $places = array_flip(array_keys($outlook->left));
        foreach ($this->meeting($outlook->context) as [$light, $dark]) {
            if (isset($places[$light->key], $places[$dark->key]) && $places[$dark->key] < $places[$light->key] && $light->rank < $dark->rank) {
                yield new Finding($this->id(), Severity::Think, 'Dark goes on before light', self::costs($outlook->context, $light, $dark), [$light->counted(), $dark->counted(), $light->pieceId], [$dark->key, $light->key], $this->takeBack($outlook->context, $light, $dark));
            }
        }
    }

    /** What each way costs in coats, as computed: the one over the other's overspray. */
    private static function costs(Context $context, Step $light, Step $dark): string
    {
        $hiding = new Hiding($context->house);
        [$a, $b] = [$light->product, $dark->product];
        if ($a?->swatch === null || $b?->swatch === null) {
            return "{$a?->name} over the overspray of {$b?->name} takes more coats than the other way round.";
        }
        [$over, $other] = [$hiding->needed($a, $b->swatch), $hiding->needed($b, $a->swatch)];
        $coats = static fn (?int $n): string => $n === null ? 'never in '.Coverage::NEVER : "{$n} coats";

        return "{$a->name} over the overspray of {$b->name} takes {$coats($over)} to hide; {$b->name} over {$a->name} {$coats($other)}.";
    }

    /** @return list<Fix> */
    private function takeBack(Context $context, Step $light, Step $dark): array
    {
        $fixes = [];
        foreach ($context->kit->orders as $order) {
            $first = $context->steps->find($order->first);
            if ($first?->counted() === $dark->counted() && $context->steps->find($order->then)?->counted() === $light->counted()) {
                $fixes[] = new Fix('Take your order back', [\AmberStep\Core\Kit\Edit::remove('orders', $order->id)]);
            }
        }

        return $fixes;
    }

    /** @return iterable<array{Step, Step}> first coats of a lighter and a darker colour on areas that share an edge */
    private function meeting(Context $context): iterable
    {
        $seen = [];
        foreach ($context->kit->edges as $edge) {
            $a = $this->first($context, $edge->areas[0]);
            $b = $this->first($context, $edge->areas[1]);
            if ($a === null || $b === null || $a->pieceId !== $b->pieceId || $a->phase !== $b->phase || $a->product?->isMetallic() === true || $b->product?->isMetallic() === true) {
                continue;
            }
            $difference = ColourOrder::lightness($a->product) - ColourOrder::lightness($b->product);
            if (abs($difference) >= self::DIFFERENCE && ! isset($seen[$a->key.$b->key])) {
                $seen[$a->key.$b->key] = $seen[$b->key.$a->key] = true;
                yield $difference > 0 ? [$a, $b] : [$b, $a];
            }
        }
    }

    private function first(Context $context, string $area): ?Step
    {
        foreach ($context->steps->onWith($area, Operation::Colour) as $step) {
            if ($step->n === 1 && ! $step->isRemedy()) {
                return $step;
            }
        }

        return null;
    }
}
