<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

use AmberStep\Core\Kit\Area;

/** One area, cut edge-on. */
final readonly class Column
{
    /**
     * @param  float  $now  height of the now stair, in rows from the bottom: above all that is really there
     * @param  float  $filmMicrons  dry film once all is done, µm
     * @param  float  $filmNowMicrons  dry film that is there, µm
     */
    public function __construct(public Area $area, public string $pieceId, public float $now, public float $filmMicrons, public float $filmNowMicrons)
    {
    }
}
