<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Hiding;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Work\Operation;

/** What lies on a place that was found through paint: how far back it goes, what that leaves, and what the ground will show. */
final class Beneath
{
    /** Edges carry half the film (handbook 4, Film). */
    private const EDGE = 0.5;

    /** @return list<string> sentences; none where nothing lies there */
    public static function words(Place $place, Context $context): array
    {
        $least = $area = null;
        foreach ($context->kit->areas as $each) {
            $film = $each->face === Face::Outside && in_array($each->part, $place->parts, true) ? self::film($each, $context) : 0.0;
            if ($film > 0 && ($least === null || $film < $least)) {
                [$least, $area] = [$film, $each];
            }
        }
        if ($least === null || $area === null) {
            return [];
        }
        $colour = $context->kit->colour($area->intent->colour);
        $paint = $context->shelf->find($colour?->product);
        $primer = $context->steps->last($area->id, Operation::Prime)->product ?? $context->shelf->pick(Role::Primer, static fn (Product $p): bool => true, \AmberStep\Core\Material\Family::SolventPrimer);
        $coats = $paint === null ? null : (new Hiding($context->house))->needed($paint, $primer->swatch);

        return [
            sprintf('%.0f µm of paint lie there, %.0f at an edge: back to the plastic where it is filled, feathered out over 5 mm.', $least, $least * self::EDGE),
            $place->foundAt->value === 'primer' || $paint === null ? "Spot primed with {$primer->name} it is as before." : match (true) {
                $coats === null => "The spot primer would show through {$paint->name}: a ground of a nearer colour first.",
                default => sprintf('%s hides the spot primer in %d coats, a mist counted; out to a panel edge, or the patch shows.', $paint->name, $coats),
            },
        ];
    }

    private static function film(Area $area, Context $context): float
    {
        return array_sum(array_map(static fn (Layer $l): float => $l->filmMicrons(), $context->surface->area($area->id)->layers));
    }
}
