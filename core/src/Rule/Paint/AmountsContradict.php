<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Log\Mix;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Mixing\Poured;
use AmberStep\Core\Mixing\Recipe;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'What was poured is not the ratio that was stated: the smallest addition puts it right.',
    speaks: [Severity::Think],
    rests: 'Handbook 4, Parts: the ratio as it is stated, of what to what',
)]
final class AmountsContradict implements Judges
{
    /** A cup of another day is gone, or is a jar of its own. */
    private const STANDS_SECONDS = 12 * 3600;

    public function id(): string
    {
        return 'amounts-contradict';
    }

    public function judge(Outlook $outlook): iterable
    {
        $last = [];
        foreach ($outlook->context->surface->mixes as $mix) {
            if ($mix->poured !== []) {
                $last[$mix->product] = $mix;
            }
        }
        foreach ($last as $productId => $mix) {
            $product = $outlook->context->shelf->find((string) $productId);
            $step = $this->next($outlook, (string) $productId);
            if ($product?->mix !== null && $step !== null && count($mix->poured) === count($product->mix->parts) && $outlook->context->nowEpoch - $mix->atEpoch < self::STANDS_SECONDS) {
                yield from $this->look($product, $mix, $step);
            }
        }
    }

    /** @return iterable<Finding> */
    private function look(Product $product, Mix $mix, Step $step): iterable
    {
        $kept = $product->mix;
        if ($kept === null || $mix->poured === []) {
            return;
        }
        $poured = Poured::against(Recipe::kept($kept), $mix->poured);
        $late = $poured->isOnlyThinner(Recipe::kept($kept));
        if (! $poured->contradicts() || ($late && ! $product->isMetallic())) {
            // A little more thinner than written flows out on a solid colour (rule late-thinner).
            return;
        }
        $add = [];
        foreach ($poured->add as $i => $ml) {
            if ($ml >= 0.005) {
                $add[] = sprintf('%.2f ml of %s', $ml, $kept->parts[$i]->name);
            }
        }
        $key = (new Finding($this->id(), Severity::Think, '', '', [$product->id, $mix->eventId]))->key;
        [$target, $before] = [$step->targets[0], $step->operation->value.'/'.$step->counted()];
        $rebuilt = implode(', ', array_map(static fn (float $ml, $part): string => sprintf('%.2f ml %s', $ml, $part->name), $poured->rebuilt, $kept->parts));
        yield new Finding($this->id(), Severity::Think, "{$product->name} was not poured as its recipe says", "{$poured->worst(Recipe::kept($kept))} Sprayed like this it is another ".($late ? 'paint on the edges: flakes drift.' : 'colour.'), [$product->id, $mix->eventId], [$step->key], [
            Say::insertBefore($key, $target, 'Add '.Names::listed($add)." to {$product->name}", $before, Operation::Look),
            Say::insertBefore($key, $target, "Mix {$product->name} anew: {$rebuilt}", $before, Operation::Look),
        ]);
    }

    private function next(Outlook $outlook, string $productId): ?Step
    {
        foreach ($outlook->left as $planned) {
            if ($planned->step->product?->id === $productId && $planned->step->operation->leavesLayer() && ! $planned->step->isRemedy()) {
                return $planned->step;
            }
        }

        return null;
    }
}
