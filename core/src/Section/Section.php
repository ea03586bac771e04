<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

use AmberStep\Core\Plan\Plan;

/**
 * The whole finish cut edge-on: a column for each area, grouped by piece, a row for each stage, oldest at the
 * bottom; what is there, what is planned, what is capped meanwhile, and what has to wait.
 */
final readonly class Section
{
    /**
     * @param  list<Column>  $columns
     * @param  list<Row>  $rows  bare material first
     * @param  list<Cell>  $cells
     * @param  list<Cap>  $caps
     * @param  list<Lid>  $lids
     */
    public function __construct(public array $columns, public array $rows, public array $cells, public array $caps, public array $lids)
    {
    }

    public static function of(Plan $plan): self
    {
        return (new SectionBuilder($plan))->build();
    }

    public function cell(string $areaId, int $row): ?Cell
    {
        foreach ($this->cells as $cell) {
            if ($cell->areaId === $areaId && $cell->row === $row) {
                return $cell;
            }
        }

        return null;
    }

    /**
     * Where a finding or step stands in the drawing.
     *
     * @param  list<string>  $steps
     * @return list<array{string, int}> area and row
     */
    public function places(array $steps): array
    {
        $places = [];
        foreach ($this->cells as $cell) {
            if (array_intersect($cell->steps, $steps) !== []) {
                $places[] = [$cell->areaId, $cell->row];
            }
        }
        foreach ($this->caps as $cap) {
            if (in_array($cap->onKey, $steps, true)) {
                $places[] = [$cap->areaId, $cap->fromRow];
            } elseif ($cap->toRow !== null && in_array($cap->offKey, $steps, true)) {
                $places[] = [$cap->areaId, $cap->toRow];
            }
        }

        return $places;
    }
}
