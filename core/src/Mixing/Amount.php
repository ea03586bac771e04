<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Material\Family;

/** How much to mix (handbook 4, Amount), with what the sum is made of. */
final readonly class Amount
{
    /** Stays in the gun at each filling and cleaning, ml of mix. */
    public const KEPT_BY_THE_GUN_ML = 0.3;

    /** Less than this does not flow evenly. */
    public const LEAST_IN_THE_CUP_ML = 0.5;

    /** A surface under this, about 30 mm square, is narrower than the spray: half as much arrives. */
    public const NARROWER_THAN_THE_SPRAY_CM2 = 9.0;

    public function __construct(public float $cm2, public float $filmMicrons, public float $solids, public float $transfer, public float $thinnerPerPaint, public float $neatMl, public float $mixMl)
    {
    }

    /**
     * neat [ml] = area [cm²] x dry film of all coats [µm] x 1e-4 / (solids x transfer); the cup is that
     * thinned, with what the gun keeps. 196 cm², 27 µm, solids 0.22, transfer 0.5: 4.81 ml neat.
     *
     * @param  float  $cm2  surface to cover
     * @param  float  $filmMicrons  dry film of all coats together
     * @param  bool  $thinned  at the upper ratio of the family, not at its middle
     */
    public static function of(float $cm2, float $filmMicrons, Family $family, bool $smallParts, bool $thinned = false): self
    {
        $figures = $family->figures();
        $aerosol = $family === Family::Aerosol;
        $transfer = $aerosol ? 0.35 : ($smallParts ? 0.25 : 0.5);
        $neat = $cm2 * $filmMicrons * 1e-4 / ($figures->solidsByVolume * $transfer);
        $ratio = $thinned ? $figures->thinnerPerPaint->high : $figures->thinnerPerPaint->middle();
        $mix = $aerosol ? $neat : max(self::LEAST_IN_THE_CUP_ML, $neat * (1 + $ratio) + self::KEPT_BY_THE_GUN_ML);

        return new self($cm2, $filmMicrons, $figures->solidsByVolume, $transfer, $ratio, $neat, $mix);
    }

    /** The sum, for a screen that explains it. */
    public function words(): string
    {
        return sprintf('%g cm² × %g µm, %d %% solids, %d %% reaches the model: %.2f ml neat; thinned, and 0.3 ml stays in the gun', round($this->cm2, 1), round($this->filmMicrons, 1), round($this->solids * 100), round($this->transfer * 100), $this->neatMl);
    }
}
