<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Kit\Kit;

/** What a build uses the paints of the shelf on: for recipes that are kept. */
final class UsedOn
{
    private const FEW = 4;

    /** @return array<string, string> by product: "Marram: wings, tail" */
    public static function of(Kit $kit): array
    {
        $areas = [];
        foreach ($kit->areas as $area) {
            $areas[(string) $area->intent->colour][] = $area->name;
        }
        $used = [];
        foreach ($kit->colours as $colour) {
            $names = $areas[$colour->id] ?? [];
            if ($colour->product !== null && $names !== []) {
                $used[$colour->product] = "{$kit->name}: ".implode(', ', array_slice($names, 0, self::FEW)).(count($names) > self::FEW ? ' and '.(count($names) - self::FEW).' more' : '');
            }
        }

        return $used;
    }
}
