<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/**
 * One row of the paint family table of handbook 2. Times in minutes at 20 °C and 50 % RH for a
 * reference coat, already at the figure they are planned with (the upper one of a range).
 */
final readonly class FamilyFigures
{
    /**
     * @param  Range  $thinnerPerPaint  parts of thinner to one part of paint, for the gun
     * @param  Range  $pressureBar  working pressure, trigger down
     * @param  array<string, int|null>  $waits  minutes by WaitKind value; null: never
     * @param  int|null  $firstWindowMinutes  a recoat window that closes this long after the coat; null: none
     * @param  int|null  $secondWindowMinutes  when the window opens again
     */
    public function __construct(
        public string $thinner,
        public Range $thinnerPerPaint,
        public Range $pressureBar,
        public array $waits,
        public float $solidsByVolume,
        public float $referenceFilmMicrons,
        public DriesBy $driesBy,
        public ?int $firstWindowMinutes = null,
        public ?int $secondWindowMinutes = null,
    ) {
    }

    /** @return int|null minutes; null when the wait never ends (artist oil is never sand-safe) */
    public function minutes(WaitKind $kind): ?int
    {
        return $this->waits[$kind->value];
    }
}
