<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Material\AttackTable;
use AmberStep\Core\Material\Effect;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A pair of paint and ground that is not sure: a spoon of it first, once for each pair.',
    speaks: [Severity::Note],
    rests: 'Handbook 2, What attacks what: try',
)]
final class TestFirst implements Judges
{
    public function id(): string
    {
        return 'test-first';
    }

    public function judge(Outlook $outlook): iterable
    {
        $pairs = [];
        foreach (Stacks::firstLayers($outlook) as [$area, $substrate, $first]) {
            $product = $first->product;
            if ($product !== null && $first->isPlanned() && AttackTable::onBare($substrate->below(), $product->liquid()) === Effect::Tries && ! in_array($substrate->below()->value, $product->triedOn, true)) {
                $pairs[$product->id.'/'.$substrate->below()->value][] = [$area->id, $substrate, $first];
            }
        }
        foreach ($pairs as $pair) {
            $areas = array_column($pair, 0);
            [, $substrate, $first] = $pair[0];
            $key = (new Finding($this->id(), Severity::Note, '', '', $areas))->key;
            yield new Finding($this->id(), Severity::Note, "{$first->word()} on {$substrate->word()} was never tried", 'On some makes it holds, on some it stays tacky: a spoon, or the sprue of the part, says which.', $areas, $outlook->stepsOf($first), [
                Say::look($outlook, $key, $areas, "Try {$first->word()} on the sprue of the {$substrate->word()}", null, Operation::Test),
            ]);
        }
    }
}
