<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

/** What one colour of a build needs. */
final readonly class ColourNeed
{
    /**
     * @param  int  $lines  of its list
     * @param  int  $parts  on its list
     * @param  int  $counts  call-outs weighted 1, 1, 2, 3, 5 by size
     * @param  float  $mlByArea  neat paint, ml
     * @param  float  $mlByCount  neat paint, ml, each count standing for the same area
     * @param  float  $ml  by the school the house rule chooses
     * @param  int|null  $firstStep  of the booklet that needs it
     */
    public function __construct(
        public string $colour,
        public string $name,
        public ?string $code,
        public string $product,
        public string $paint,
        public ?string $swatch,
        public int $lines,
        public int $parts,
        public int $counts,
        public float $cm2,
        public int $coats,
        public float $mlByArea,
        public float $mlByCount,
        public float $ml,
        public ?int $firstStep,
    ) {
    }
}
