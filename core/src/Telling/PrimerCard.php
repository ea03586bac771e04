<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Hiding;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** What the shade of a primer saves in coats of the colours over it (handbook 2, Grounds). */
final class PrimerCard
{
    /** @return list<string> one sentence with the first coat; none where the shade makes no odds */
    public static function saved(Step $step, Context $context): array
    {
        $primer = $step->product;
        if ($step->operation !== Operation::Prime || $step->n > 1 || $primer === null || $step->isRemedy()) {
            return [];
        }
        $colours = [];
        foreach ($step->targets as $area) {
            $intent = ($context->kit->areasById[$area] ?? null)?->intent;
            $colour = $context->shelf->find($context->kit->colour($intent->ground ?? $intent?->colour)?->product);
            if ($colour?->role === Role::Colour) {
                $colours[$colour->id] = $colour;
            }
        }
        $hiding = new Hiding($context->house);
        $best = null;
        foreach ($context->shelf->products as $other) {
            foreach ($other->role === Role::Primer && $other->swatch !== $primer->swatch ? $colours : [] as $colour) {
                [$over, $instead] = [$hiding->coats($colour, $primer->swatch), $hiding->coats($colour, $other->swatch)];
                if ($instead - $over > ($best[0] ?? 0)) {
                    $best = [$instead - $over, $over, $instead, $colour, $other];
                }
            }
        }

        return $best === null ? [] : [sprintf('Its shade saves %d %s: %s takes %d over it, %d over %s.', $best[0], $best[0] === 1 ? 'coat' : 'coats', $best[3]->name, $best[1], $best[2], self::called($best[4]))];
    }

    private static function called(Product $primer): string
    {
        return str_contains(mb_strtolower($primer->name), 'primer') ? $primer->name : "{$primer->name} primer";
    }
}
