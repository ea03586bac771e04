<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** What is held and painted as one: the parts connected by joints closed before paint. */
final readonly class Piece
{
    /**
     * @param  string  $id  its oldest part's
     * @param  non-empty-list<Part>  $parts
     * @param  list<Area>  $areas
     */
    public function __construct(public string $id, public string $name, public int $position, public array $parts, public array $areas, public ?string $heldBy)
    {
    }

    public function isFragile(): bool
    {
        foreach ($this->parts as $part) {
            if ($part->fragile) {
                return true;
            }
        }

        return false;
    }

    /** °C: the lowest limit among its materials; 35 where a part is stressed or thin (handbook 2, Plastics and heat). */
    public function highestCabinetC(): float
    {
        $limits = array_map(static fn (Part $p): float => $p->stressed ? min(35.0, $p->substrate->highestCabinetC()) : $p->substrate->highestCabinetC(), $this->parts);

        return min($limits);
    }

    public function hasPaint(): bool
    {
        foreach ($this->areas as $area) {
            if ($area->isPainted()) {
                return true;
            }
        }

        return false;
    }
}
