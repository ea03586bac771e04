<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

use AmberStep\Core\Material\Medium;

/** An area covered by a mask, over the rows it stays covered. */
final readonly class Cap
{
    /**
     * @param  int  $fromRow  the row it is put on in
     * @param  int|null  $toRow  the row it is taken off in; null: it stays on
     * @param  bool  $on  it is really there, or was
     * @param  bool  $off  it really came off
     */
    public function __construct(public string $areaId, public Medium $medium, public string $purpose, public int $fromRow, public ?int $toRow, public bool $on, public bool $off, public int $onEpoch, public ?int $offEpoch, public ?string $onKey, public ?string $offKey)
    {
    }

    /** Whether the area is covered while another row of its piece is laid. */
    public function covers(int $row): bool
    {
        return $row > $this->fromRow && ($this->toRow === null || $row < $this->toRow);
    }
}
