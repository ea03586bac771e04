<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Mixing\Counting;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Work\Operation;

/** What stands ready at the mixing bench: the colours of a build, the paints, and the recipes that are kept. */
final class MixBenchPresenter
{
    private const MIXED = [Role::Colour, Role::Metallic, Role::TintedClear, Role::Primer, Role::Varnish];

    /** @return array<string, mixed> */
    public static function of(Plan $plan): array
    {
        $context = $plan->context;
        $shelf = $context->shelf;
        $jars = new JarPresenter($plan->nowEpoch, $context->kit->zone);

        return [
            'colours' => array_values(array_filter(array_map(static fn (Colour $c): ?array => self::colour($c, $plan, $shelf), $context->kit->colours), is_array(...))),
            'paints' => array_values(array_map($jars->paint(...), array_filter($shelf->products, static fn (Product $p): bool => in_array($p->role, self::MIXED, true)))),
            'recipes' => array_values(array_filter(array_map(static fn (Product $p): ?array => $jars->recipe($p, []), $shelf->products), is_array(...))),
            'temperatureC' => round($context->room->now()->temperatureC, 1),
        ];
    }

    /** @return array<string, mixed>|null null where no paint is there to be mixed */
    private static function colour(Colour $colour, Plan $plan, Shelf $shelf): ?array
    {
        $product = $shelf->find($colour->product);
        $areas = array_values(array_filter($plan->context->kit->areas, static fn (Area $a): bool => $a->intent->colour === $colour->id && $a->isPainted()));
        if ($product === null) {
            return null;
        }
        $grounds = array_slice(GroundPresenter::ofColour($colour->id, $plan), 0, 4);
        $coats = self::left($plan, $colour->id);

        return [
            'id' => $colour->id, 'name' => $colour->name, 'product' => $product->id, 'swatch' => $product->swatch,
            'cm2' => round(array_sum(array_map(static fn (Area $a): float => $a->cm2(), $areas)), 1),
            'counted' => ['counts' => round($counts = array_sum(array_map(static fn (Area $a): float => Counting::counts($plan->context->kit, $a->id), $areas)), 1), 'cm2' => round($counts * Size::CM2_PER_COUNT, 1), 'chosen' => $plan->context->house->says('estimate', 'count')],
            'grounds' => array_map(static fn (string $name, string $hex): array => ['name' => $name, 'hex' => $hex], array_keys($grounds), $grounds),
            'areas' => array_map(static fn (Area $a): string => $a->name, $areas),
            'coats' => $coats === 0.0 ? 2.5 : $coats, 'left' => $coats > 0,
        ];
    }

    /** Reference coats that are left, on the area that has most to come: a mist counts half. */
    private static function left(Plan $plan, string $colour): float
    {
        $coats = [];
        foreach ($plan->left as $planned) {
            $step = $planned->step;
            if ($step->operation === Operation::Colour && $step->counted() === $colour && ! $step->isRemedy()) {
                $coats[$step->n] ??= $step->coatKind?->filmMicrons(1.0) ?? 1.0;
            }
        }

        return (float) array_sum($coats);
    }
}
