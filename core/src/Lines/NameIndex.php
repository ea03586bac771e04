<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

/**
 * Things by what they are called. Two of one name are counted; an edge goes by its two areas.
 *
 * @phpstan-type Thing array<string, mixed>
 */
final class NameIndex
{
    /** @var array<string, array<string, list<string>>> ids by list and "scope/lower name" */
    private array $ids = [];

    /** @var array<string, list<string>> ids of areas, by lower name, on whatever part */
    private array $areas = [];

    public function at(string $list, string $place, int $nth): ?string
    {
        return $this->ids[$list][$place][$nth - 1] ?? null;
    }

    public function count(string $list, string $place): int
    {
        return count($this->ids[$list][$place] ?? []);
    }

    /** @return list<string> */
    public function areasCalled(string $name): array
    {
        return $this->areas[mb_strtolower($name)] ?? [];
    }

    /** @param  Thing  $thing */
    public function add(string $list, array $thing): void
    {
        $id = Draft::text($thing['id']);
        if ($list === 'edges') {
            /** @var array{string, string} $areas */
            $areas = $thing['areas'];
            sort($areas);
            $this->ids[$list][implode('', $areas)][] = $id;

            return;
        }
        $name = mb_strtolower(Draft::text($thing['name']));
        if ($list === 'areas') {
            $this->areas[$name][] = $id;
        }
        $this->ids[$list][($list === 'areas' ? Draft::text($thing['part']) : '').'/'.$name][] = $id;
    }
}
