<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking;

use AmberStep\Core\Document\BadDocument;

/**
 * How wide a soft edge comes out, and how far from the line, by what stands off and how the gun is tilted (handbook 7, Edge
 * wanted to edge got). All in mm; the tilt in degrees from upright, positive when the gun leans over the mask.
 */
final readonly class SoftEdge
{
    /** What a spoon of one's own corrects. */
    private const SPREAD = 0.5;

    /** mm on the model between which an edge can be made so. */
    public const FROM_TO = [0.3, 4.0];

    /** mm on the full-size subject, of a gun that was held by hand. */
    public const TYPICAL_FULL = [50.0, 250.0];

    private function __construct(public float $widthMm, public float $movedMm, public float $standOffMm, public ?float $rollMm)
    {
    }

    /**
     * @param  float  $roll  diameter of the rolled putty, mm
     *
     * @throws BadDocument where no roll or tilt is like that
     */
    public static function ofRoll(float $roll, float $tilt = 0.0): self
    {
        self::check($roll, 'roll', $tilt);
        $h = $roll / 2;
        $b = deg2rad($tilt);

        return new self(self::SPREAD * $h / (1 - sin($b)), $h * (1 / cos($b) + tan($b)), $h, $roll);
    }

    /** The roll for a width: from w = 0.5 h / (1 - sin b). */
    public static function rollFor(float $width, float $tilt = 0.0): self
    {
        self::check($width, 'width', $tilt);

        return self::ofRoll(2 * $width * (1 - sin(deg2rad($tilt))) / self::SPREAD, $tilt);
    }

    /** A card held off the surface: w = 0.5 h / cos² b, moved by h tan b. */
    public static function ofCard(float $height, float $tilt = 0.0): self
    {
        self::check($height, 'height', $tilt);
        $b = deg2rad($tilt);

        return new self(self::SPREAD * $height / cos($b) ** 2, $height * tan($b), $height, null);
    }

    public static function cardFor(float $width, float $tilt = 0.0): self
    {
        self::check($width, 'width', $tilt);

        return self::ofCard($width * cos(deg2rad($tilt)) ** 2 / self::SPREAD, $tilt);
    }

    /** What would make an edge that this does not; empty where it does. */
    public function else(): string
    {
        return match (true) {
            $this->widthMm < self::FROM_TO[0] => 'Finer than 0.3 mm: tape it, and polish the step.',
            $this->widthMm > self::FROM_TO[1] => 'Wider than 4 mm: spray it freehand.',
            default => '',
        };
    }

    private static function check(float $mm, string $what, float $tilt): void
    {
        if ($mm <= 0 || $mm > 100) {
            throw BadDocument::at($what, 'is out of range', 'give it in mm, over 0 and up to 100');
        }
        if ($tilt < -60 || $tilt > 60) {
            throw BadDocument::at('tilt', 'is out of range', 'give -60 to 60°, 0 is upright');
        }
    }
}
