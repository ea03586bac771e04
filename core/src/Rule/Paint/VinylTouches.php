<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Soft vinyl melts the styrene, panes and paint it rests on, unless water acrylic lies between.',
    speaks: [Severity::Think],
    rests: 'What soft vinyl rests on',
)]
final class VinylTouches implements Judges
{
    public function id(): string
    {
        return 'vinyl-touches';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->joints as $joint) {
            $vinyl = array_values(array_filter($joint->parts, static fn (string $p): bool => $context->kit->partsById[$p]->substrate === Substrate::SoftVinyl));
            if (count($vinyl) !== 1 || $this->isCoated($outlook, $vinyl[0])) {
                continue;
            }
            $name = $context->kit->partsById[$vinyl[0]]->name;
            $key = (new Finding($this->id(), Severity::Think, '', '', [$joint->id]))->key;
            yield new Finding($this->id(), Severity::Think, "Soft vinyl on what it melts: {$name}", "Plasticiser leaves soft vinyl for years and softens styrene, panes and paint at {$joint->name}.", [$joint->id], [], Say::fixes([
                $this->coat($outlook, $vinyl[0], $key),
                Say::look($outlook, $key, [$joint->id], "Bag {$name} apart until fitted", null, Operation::Look),
            ]));
        }
    }

    private function isCoated(Outlook $outlook, string $part): bool
    {
        foreach ($outlook->context->kit->areas as $area) {
            foreach ($area->part === $part ? $outlook->stack($area->id) : [] as $layer) {
                if ($layer->product?->liquid() === Liquid::WaterAcrylic) {
                    return true;
                }
            }
        }

        return false;
    }

    private function coat(Outlook $outlook, string $part, string $key): ?Fix
    {
        $areas = array_values(array_filter($outlook->context->kit->areas, static fn (Area $a): bool => $a->part === $part && $a->isPainted()));
        $varnish = $outlook->context->shelf->pick(Role::Varnish, static fn (Product $p): bool => $p->liquid() === Liquid::WaterAcrylic, Family::WaterVarnish);
        $before = $areas === [] ? null : $outlook->nextCoatOn($areas[0]->id);
        if ($before === null) {
            return null;
        }
        $ids = array_map(static fn (Area $a): string => $a->id, $areas);

        return new Fix("A coat of {$varnish->name} on it first", [Edit::insert(new Inserted(Id::from('vinyl', $part), Operation::Barrier, [$ids[0], ...array_slice($ids, 1)], "Coat the vinyl with {$varnish->name}", $before, product: $varnish->id, answers: $key))]);
    }
}
