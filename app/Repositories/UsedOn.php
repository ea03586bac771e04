<?php

declare(strict_types=1);

namespace App\Repositories;

use App\Models\Build;

/** What a paint of the shelf was used on, over all builds: for recipes that are kept. */
final class UsedOn
{
    /** @return array<string, list<string>> by product: "Marram: wings, tail" */
    public function all(): array
    {
        $used = [];
        foreach (Build::query()->orderBy('position')->get()->all() as $build) {
            $areas = [];
            foreach (self::list($build->kit, 'areas') as $area) {
                $colour = is_array($area['intent'] ?? null) ? ($area['intent']['colour'] ?? null) : null;
                if (is_string($colour) && is_string($area['name'] ?? null)) {
                    $areas[$colour][] = $area['name'];
                }
            }
            foreach (self::list($build->kit, 'colours') as $colour) {
                $names = $areas[is_string($colour['id'] ?? null) ? $colour['id'] : ''] ?? [];
                if (is_string($colour['product'] ?? null) && $names !== []) {
                    $used[$colour['product']][] = "{$build->name}: ".implode(', ', array_slice($names, 0, 4)).(count($names) > 4 ? ' and '.(count($names) - 4).' more' : '');
                }
            }
        }

        return $used;
    }

    /**
     * @param  array<mixed>  $kit
     * @return list<array<mixed>>
     */
    private static function list(array $kit, string $list): array
    {
        return array_values(array_filter(is_array($kit[$list] ?? null) ? $kit[$list] : [], is_array(...)));
    }
}
