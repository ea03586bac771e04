<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Material\AttackTable;
use AmberStep\Core\Material\Effect;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;

#[Says(
    'Enamel and oil never dry on soft vinyl; lacquer and alcohol acrylic may not. Water acrylic does.',
    speaks: [Severity::Stop, Severity::Think],
    rests: 'Handbook 2, What attacks what: soft vinyl',
)]
final class SoftVinyl implements Judges
{
    public function id(): string
    {
        return 'soft-vinyl';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach (Stacks::firstLayers($outlook) as [$area, $substrate, $first]) {
            if ($substrate !== Substrate::SoftVinyl || $first->product === null || in_array($substrate->below()->value, $first->product->triedOn, true)) {
                continue;
            }
            $effect = AttackTable::onBare($substrate->below(), $first->product->liquid());
            if ($effect !== Effect::StaysTacky && $effect !== Effect::Tries) {
                continue;
            }
            $stop = $effect === Effect::StaysTacky;
            $fixes = $first->isPlanned() ? [...Stacks::keyFixes($outlook, $this, $area, $first, 'water acrylic'), ...$this->otherProduct($outlook, (string) $area->intent->colour)] : Stacks::keyFixes($outlook, $this, $area, $first, 'water acrylic');
            yield new Finding($this->id(), $stop ? Severity::Stop : Severity::Think, "{$first->word()} on soft vinyl", $stop ? 'It never dries there: the vinyl keeps it tacky.' : 'It may stay tacky there: try it on the sprue of the tyre first.', [$area->id], $outlook->stepsOf($first), $fixes);
        }
    }

    /** @return list<Fix> */
    private function otherProduct(Outlook $outlook, string $colourId): array
    {
        $colour = $outlook->context->kit->colour($colourId);
        foreach ($outlook->context->shelf->products as $product) {
            if ($colour !== null && $product->role === Role::Colour && $product->liquid() === Liquid::WaterAcrylic) {
                return [new Fix("Paint it with {$product->name}", [Edit::set('colours', $colourId, 'product', $product->id)])];
            }
        }

        return [];
    }
}
