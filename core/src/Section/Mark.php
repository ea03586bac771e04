<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

/** One thing that leaves its mark on an area at a moment: what makes rows, before they are numbered. */
final readonly class Mark
{
    /**
     * @param  string  $key  marks of one key share a row where the order of their piece allows it
     * @param  string  $ref  tells it from the other marks of its area
     * @param  string|null  $under  what it is laid for, where that is another thing: the colour over a ground
     */
    public function __construct(public int $atEpoch, public string $areaId, public string $pieceId, public string $key, public string $ref, public string $title, public RowKind $kind, public ?string $swatch = null, public ?string $under = null)
    {
    }
}
