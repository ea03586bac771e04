<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A thinner outside the family\'s list: water acrylic curdles in alcohol or lacquer thinner.',
    speaks: [Severity::Stop],
    rests: 'Handbook 2, Paint families: thinners',
)]
final class ThinnerFits implements Judges
{
    public function id(): string
    {
        return 'thinner-fits';
    }

    public function judge(Outlook $outlook): iterable
    {
        $found = [];
        foreach ($outlook->context->kit->areas as $area) {
            foreach ($outlook->stack($area->id) as $layer) {
                $product = $layer->product;
                if ($product?->thinnedWith !== null && ! in_array($product->thinnedWith, $product->family->thinners(), true)) {
                    $found[$product->id][$layer->isPlanned() ? 'planned' : 'laid'][] = [$area->id, $layer];
                }
            }
        }
        foreach ($found as $byState) {
            foreach ($byState as $state => $group) {
                yield $this->finding($outlook, $group, $state === 'planned');
            }
        }
    }

    /** @param  non-empty-list<array{string, Layer}>  $group */
    private function finding(Outlook $outlook, array $group, bool $planned): Finding
    {
        $areas = array_values(array_unique(array_column($group, 0)));
        [, $layer] = $group[0];
        $product = $layer->product;
        $family = $product->family ?? Family::WaterAcrylic;
        $steps = array_merge(...array_map(static fn (array $g): array => $outlook->stepsOf($g[1]), $group));
        $own = $family->figures()->thinner;
        $title = "{$layer->word()} with {$product?->thinnedWith?->value}";
        $key = (new Finding($this->id(), Severity::Stop, '', '', $areas))->key;
        $what = $family->liquid() === Liquid::WaterAcrylic ? 'it curdles' : 'it separates, or bites what is under it';

        return new Finding($this->id(), Severity::Stop, $title, ucfirst($family->word())." takes {$own}: in another {$what}.", $areas, array_values(array_unique($steps)), [
            Say::look($outlook, $key, $areas, $planned ? "Throw that mix away; thin {$layer->word()} with {$own}" : 'Look for grains and lifting once it is dry', $planned ? null : WaitKind::TouchDry, $planned ? Operation::Look : Operation::Inspect),
        ]);
    }
}
