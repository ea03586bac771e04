<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

use AmberStep\Core\Log\Layer;

/** What one row is on one area: a layer with its coats, or another mark such as a filled seam. */
final readonly class Cell
{
    /**
     * @param  int  $coats  in all, laid and planned; 1 where there is nothing to count
     * @param  int  $real  how many of them are really there
     * @param  float  $filmMicrons  dry film of all coats, µm
     * @param  list<string>  $steps  keys of the steps it comes from, laid or planned
     */
    public function __construct(public string $areaId, public int $row, public RowKind $kind, public int $coats, public int $real, public float $filmMicrons, public int $atEpoch, public array $steps, public ?Layer $layer)
    {
    }

    public function isPlanned(): bool
    {
        return $this->real === 0;
    }
}
