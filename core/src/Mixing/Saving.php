<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

/** What a better ground saves: coats that need not be laid, and their minutes and ml (handbook 4, Colour order: 1 + 0.05 min per cm² a coat). */
final readonly class Saving
{
    private const MINUTES_PER_COAT = 1.0;

    private const MINUTES_PER_CM2 = 0.05;

    private function __construct(public int $coats, public float $minutes, public float $ml)
    {
    }

    /**
     * @param  int  $over  coats over the ground that is there
     * @param  int  $better  coats over the better one
     * @param  float  $mlPerCoat  of mix
     */
    public static function of(int $over, int $better, float $cm2, float $mlPerCoat): self
    {
        $coats = max(0, $over - $better);

        return new self($coats, $coats * (self::MINUTES_PER_COAT + self::MINUTES_PER_CM2 * $cm2), $coats * $mlPerCoat);
    }
}
