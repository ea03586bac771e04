<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Layering\ColourOrder;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\MouldedColour;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Dye of strongly coloured plastic climbs for weeks into pale colours of a solvent family.',
    speaks: [Severity::Think],
    rests: 'The moulded colour, and the family over it',
)]
final class PlasticBleeds implements Judges
{
    public function id(): string
    {
        return 'plastic-bleeds';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->areas as $area) {
            $part = $context->kit->partsById[$area->part];
            if (! MouldedColour::isStrong($part->mouldedColour)) {
                continue;
            }
            foreach ($outlook->stack($area->id) as $layer) {
                if ($layer->product === null || $this->holdsBack($layer)) {
                    break;
                }
                if ($layer->operation === Operation::Colour && MouldedColour::isPale($layer->product)) {
                    yield $this->finding($outlook, $area, $layer);
                    break;
                }
            }
        }
    }

    /** Silver and water acrylic let no dye through. */
    private function holdsBack(Layer $layer): bool
    {
        return $layer->product?->isMetallic() === true || $layer->product?->liquid() === Liquid::WaterAcrylic;
    }

    private function finding(Outlook $outlook, Area $area, Layer $layer): Finding
    {
        $key = (new Finding($this->id(), Severity::Think, '', '', [$area->id]))->key;
        $fixes = $layer->isPlanned() ? [...$this->barriers($outlook->context, $area), Say::look($outlook, $key, [$area->id], "Try {$layer->word()} on the sprue first, and look after a week", null, Operation::Test)]
            : [Say::look($outlook, $key, [$area->id], 'Look for a pink cast in a week, before clear goes on', null)];

        return new Finding($this->id(), Severity::Think, "Dye may climb into {$layer->word()}", "{$area->name} is strongly coloured plastic, and nothing but solvent paint lies between: the dye climbs for weeks.", [$area->id], $outlook->stepsOf($layer), $fixes);
    }

    /** @return list<Fix> silver, and water acrylic, as the ground */
    private function barriers(Context $context, Area $area): array
    {
        $silver = $context->shelf->pick(Role::Metallic, static fn (Product $p): bool => ColourOrder::lightness($p) > 60, Family::Lacquer);
        $acrylic = $context->shelf->pick(Role::Colour, static fn (Product $p): bool => $p->liquid() === Liquid::WaterAcrylic && ColourOrder::lightness($p) > 80, Family::WaterAcrylic);
        $fixes = [];
        foreach ([$silver, $acrylic] as $product) {
            if (! $context->shelf->isGeneric($product)) {
                $fixes[] = new Fix(ucfirst($product->name).' under it', $this->ground($context, $area, $product));
            }
        }

        return $fixes;
    }

    /** @return non-empty-list<Edit> */
    private function ground(Context $context, Area $area, Product $product): array
    {
        foreach ($context->kit->colours as $colour) {
            if ($colour->product === $product->id) {
                return [Edit::set('areas', $area->id, 'intent.ground', $colour->id)];
            }
        }
        $colour = new Colour(Id::from('ground', $product->id), count($context->kit->colours), mb_strtolower($product->name), $product->id);

        return [Edit::add('colours', $colour->toArray()), Edit::set('areas', $area->id, 'intent.ground', $colour->id)];
    }
}
