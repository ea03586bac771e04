<?php

declare(strict_types=1);

namespace AmberStep\Core\Spray;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Material\Family;

/** What the gun is set up for (handbook 2, Gun set-up). */
enum Task: string
{
    case Lines = 'lines';
    case Soft = 'soft';
    case Colour = 'colour';
    case Primer = 'primer';

    public function word(): string
    {
        return match ($this) {
            self::Lines => 'lines, mottle',
            self::Soft => 'soft camouflage, small parts',
            self::Colour => 'colour',
            self::Primer => 'primer, clear',
        };
    }

    /** @return array{float, float} mm; a metallic wants 0.3 at least */
    public function nozzleMm(bool $metallic = false): array
    {
        return match ($this) {
            self::Lines => [0.2, 0.2],
            self::Soft => [$metallic ? 0.3 : 0.2, 0.35],
            self::Colour => [$metallic ? 0.3 : 0.35, 0.35],
            self::Primer => [0.35, 0.5],
        };
    }

    /** @return array{float, float} bar with the trigger down */
    public function pressureBar(Family $family, HouseRules $house): array
    {
        $figures = $family->figures()->pressureBar;
        $low = $family === Family::WaterAcrylic && $house->says('thinning', 'thinner');

        return match ($this) {
            self::Lines => [0.6, 1.0],
            self::Soft => [0.8, 1.2],
            self::Colour => [$figures->low, $low ? $figures->middle() : $figures->high],
            self::Primer => [$figures->high, $figures->high],
        };
    }

    /** @return array{float, float} */
    public function distanceCm(): array
    {
        return match ($this) {
            self::Lines => [1, 3],
            self::Soft => [3, 6],
            self::Colour => [8, 12],
            self::Primer => [10, 15],
        };
    }

    /** Thinner to one of paint: the middle of the family's range, its upper end by house rule, one part more for lines. */
    public function thinnerPerPaint(Family $family, HouseRules $house): float
    {
        $range = $family->figures()->thinnerPerPaint;
        $usual = $family === Family::WaterAcrylic && $house->says('thinning', 'thinner') ? $range->high : $range->middle();

        return $this === self::Lines ? $usual + 1 : $usual;
    }

    public function coats(): string
    {
        return match ($this) {
            self::Lines => 'passes that hardly show, built up',
            self::Soft => 'light coats, the last as the first',
            self::Colour => 'a mist, then light coats',
            self::Primer => 'light coats; gloss clear ends on a wet one',
        };
    }
}
