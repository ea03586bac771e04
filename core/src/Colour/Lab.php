<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** CIELAB under D65. */
final readonly class Lab
{
    /** @param  float  $l  lightness, 0 black to 100 white */
    public function __construct(public float $l, public float $a, public float $b)
    {
    }

    /** @param  array{float, float, float}  $xyz  1 for white in Y */
    public static function fromXyz(array $xyz): self
    {
        $white = Observer::white();
        $f = static fn (int $i): float => self::root($xyz[$i] / $white[$i]);

        return new self(116 * $f(1) - 16, 500 * ($f(0) - $f(1)), 200 * ($f(1) - $f(2)));
    }

    public function chroma(): float
    {
        return hypot($this->a, $this->b);
    }

    /** Degrees, 0 to 360. */
    public function hue(): float
    {
        return fmod(rad2deg(atan2($this->b, $this->a)) + 360, 360);
    }

    /** CIEDE2000 (Sharma, Wu, Dalal 2005): under 1 hardly seen, 1.5 to 3 subtle, over 6 another colour. */
    public function deltaE(self $other): float
    {
        return DeltaE::between($this, $other);
    }

    private static function root(float $t): float
    {
        return $t > 216 / 24389 ? $t ** (1 / 3) : (24389 / 27 * $t + 16) / 116;
    }
}
