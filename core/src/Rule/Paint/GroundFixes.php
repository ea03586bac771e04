<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Hiding;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;

/** What helps where the ground shows: more coats, or a ground that is hidden sooner (for rule ground-shows). */
final class GroundFixes
{
    /** @param  non-empty-list<Area>  $areas */
    public static function coats(Context $context, array $areas, int $needed): Fix
    {
        $edits = [];
        foreach ($areas as $area) {
            $colour = (string) $area->intent->colour;
            foreach ($context->kit->pins as $pin) {
                if ($pin->concerns(Operation::Colour, $colour, $area->id) && ($pin->coats !== null || $pin->coatKind !== null)) {
                    $edits[$pin->id] = Edit::remove('pins', $pin->id);
                }
            }
            $id = Id::from('coats', $area->id, $colour);
            $edits[$id] = Edit::pin(new Pin($id, Operation::Colour, $area->id, $colour, null, null, $needed));
        }
        $edits = array_values($edits);

        return new Fix("Lay {$needed} coats", $edits === [] ? throw new \LogicException('a ground shows on some area') : $edits);
    }

    /**
     * A colour of the same family that this one hides in the fewest coats, the ground's own counted.
     *
     * @param  non-empty-list<Area>  $areas
     */
    public static function ground(Context $context, Product $product, array $areas): ?Fix
    {
        $hiding = new Hiding($context->house);
        $best = null;
        foreach ($context->shelf->products as $other) {
            $usable = $other->role === Role::Colour && $other->swatch !== null && $other->family === $product->family && $other->id !== $product->id;
            $needed = $usable ? $hiding->needed($product, $other->swatch) : null;
            if ($needed !== null && $needed <= Hiding::MOST && ($best === null || [$needed, $other->id] < [$best[0], $best[1]->id])) {
                $best = [$needed, $other];
            }
        }
        // What is begun cannot get another ground under it.
        $begun = array_filter($areas, static fn (Area $a): bool => GroundShows::laid($context, $a, $product)[0] > 0) !== [];
        if ($best === null || $begun) {
            return null;
        }
        [$needed, $other] = $best;
        $known = array_values(array_filter($context->kit->colours, static fn (Colour $c): bool => $c->product === $other->id))[0] ?? null;
        $id = $known->id ?? Id::from('ground', $other->id);
        $edits = $known === null ? [Edit::add('colours', (new Colour($id, count($context->kit->colours), $other->name, $other->id))->toArray())] : [];
        foreach ($areas as $area) {
            $edits[] = Edit::set('areas', $area->id, 'intent.ground', $id);
            foreach ($context->kit->pins as $pin) {
                if ($pin->concerns(Operation::Colour, (string) $area->intent->colour, $area->id) && ($pin->coats !== null || $pin->coatKind !== null)) {
                    $edits[] = Edit::remove('pins', $pin->id);
                }
            }
        }

        return new Fix("Lay {$other->name} under it: {$needed} coats then", array_values(array_unique($edits, SORT_REGULAR)));
    }
}
