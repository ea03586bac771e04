<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** What a spoon looked like over one ground: beside the prediction in steps, or from a photograph with a grey card in it. */
final readonly class SpoonReading
{
    /** L* of one step lighter: what the eye calls clearly a step beside another patch. */
    public const STEP_L = 3.0;

    /** b* of one step warmer; a* moves half as far: towards orange, and back towards blue. */
    public const STEP_B = 3.0;

    public const MOST_STEPS = 6;

    /** Linear reflectance of a grey card. */
    public const GREY_CARD = 0.18;

    public function __construct(public Spectrum $ground, public Lab $seen)
    {
    }

    /**
     * @param  Lab  $predicted  what it should have looked like
     * @param  float  $lighter  steps, below 0 darker
     * @param  float  $warmer  steps, below 0 cooler
     */
    public static function beside(Spectrum $ground, Lab $predicted, float $lighter, float $warmer): self
    {
        return new self($ground, new Lab(max(0.0, min(100.0, $predicted->l + self::STEP_L * $lighter)), $predicted->a + self::STEP_B / 2 * $warmer, $predicted->b + self::STEP_B * $warmer));
    }

    /**
     * A photograph under any light: each channel is set so that the grey card is grey.
     *
     * @param  Srgb  $patch  of the spoon
     * @param  Srgb  $card  of the grey card beside it, no channel black
     */
    public static function photographed(Spectrum $ground, Srgb $patch, Srgb $card): self
    {
        $set = array_map(static fn (float $p, float $c): float => min(1.0, $p * self::GREY_CARD / max(1e-4, $c)), $patch->linear(), $card->linear());

        return new self($ground, (new Srgb(...$set))->lab());
    }
}
