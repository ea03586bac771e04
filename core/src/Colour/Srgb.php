<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** A colour of the screen, linear, 0 to 1 for what a screen can show. */
final readonly class Srgb
{
    public function __construct(public float $r, public float $g, public float $b)
    {
    }

    /** @param  string  $hex  "#7C96A3" */
    public static function fromHex(string $hex): self
    {
        $linear = static fn (string $byte): float => self::expand(hexdec($byte) / 255);

        return new self($linear(substr($hex, 1, 2)), $linear(substr($hex, 3, 2)), $linear(substr($hex, 5, 2)));
    }

    /** "#7C96A3"; what a screen cannot show is brought to its edge. */
    public function hex(): string
    {
        return '#'.implode('', array_map(static fn (float $v): string => sprintf('%02X', (int) round(255 * self::compress(max(0.0, min(1.0, $v))))), [$this->r, $this->g, $this->b]));
    }

    public function lab(): Lab
    {
        return Lab::fromXyz(Observer::toXyz([$this->r, $this->g, $this->b]));
    }

    /** @return array{float, float, float} */
    public function linear(): array
    {
        return [$this->r, $this->g, $this->b];
    }

    private static function expand(float $v): float
    {
        return $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;
    }

    private static function compress(float $v): float
    {
        return $v <= 0.0031308 ? 12.92 * $v : 1.055 * $v ** (1 / 2.4) - 0.055;
    }
}
