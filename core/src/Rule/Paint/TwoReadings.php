<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A figure or a name of a recipe can be read two ways: it asks, and the recipe stays unverified until somebody answers.',
    speaks: [Severity::Think],
    rests: 'Handbook 4, Parts: what a percentage is of',
)]
final class TwoReadings implements Judges
{
    public function id(): string
    {
        return 'two-readings';
    }

    public function judge(Outlook $outlook): iterable
    {
        $told = [];
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            $product = $step->product;
            if ($product?->mix === null || $product->mix->isVerified() || isset($told[$product->id]) || $step->isRemedy()) {
                continue;
            }
            $told[$product->id] = true;
            $key = (new Finding($this->id(), Severity::Think, '', '', [$product->id]))->key;
            yield new Finding($this->id(), Severity::Think, "The recipe of {$product->name} is unverified", implode(' ', array_map(static fn ($a): string => $a->question(), $product->mix->asks)).' Answer it at the Mix station, and this goes.', [$product->id], [$step->key], [
                Say::insertBefore($key, $step->targets[0], "Spray a spoon of {$product->name}, and say which reading is right", $step->operation->value.'/'.$step->counted(), Operation::Test),
            ]);
        }
    }
}
