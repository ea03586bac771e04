<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

/** A stage of the finish across all areas; rows are numbered from the bottom, 0 is bare material. */
final readonly class Row
{
    public function __construct(public int $number, public string $title, public RowKind $kind, public ?string $swatch)
    {
    }
}
