<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** A figure of the trade given as a range. A wait is planned at its upper figure, a ratio or pressure at the middle. */
final readonly class Range
{
    public function __construct(public float $low, public float $high)
    {
    }

    public static function one(float $figure): self
    {
        return new self($figure, $figure);
    }

    public function middle(): float
    {
        return ($this->low + $this->high) / 2;
    }
}
