<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Work\Operation;

/** What a colour is laid on: the layer under it, or the plastic where there is none. */
final class Grounds
{
    /**
     * The layer that shows through: a pre-shade is meant to, and counts as none.
     *
     * @param  list<Layer>  $below  oldest first
     */
    public static function under(array $below): ?Layer
    {
        foreach (array_reverse($below) as $layer) {
            if ($layer->operation !== Operation::Preshade && $layer->product?->swatch !== null) {
                return $layer;
            }
        }

        return null;
    }

    /** @return array{string, string} name and swatch of what is under the colour of an area */
    public static function ofArea(Area $area, ModelState $final, Kit $kit): array
    {
        $stack = $final->area($area->id)->layers;
        $at = array_key_last(array_filter($stack, static fn (Layer $l): bool => $l->operation === Operation::Colour && $l->purpose === $area->intent->colour));
        $layer = self::under(array_slice($stack, 0, $at ?? count($stack)));

        return $layer?->product?->swatch === null
            ? ['the plastic', $kit->partsById[$area->part]->mouldedColour ?? Hiding::UNKNOWN_PLASTIC]
            : [$layer->product->name, $layer->product->swatch];
    }
}
