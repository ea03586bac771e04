<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** What a surface reflects, 0 to 1, in each of the observer's bands. */
final class Spectrum
{
    /** Before K/S a reflectance is kept within these (handbook 4, Colour). */
    public const LEAST = 0.003;

    public const MOST = 0.985;

    /** @var array<string, self> recovered before: a build has few swatches and is compiled often */
    private static array $known = [];

    /** @param  list<float>  $r  one for each band */
    public function __construct(public readonly array $r)
    {
    }

    /** The curve of least bends that shows as this swatch. */
    public static function of(string $hex): self
    {
        return self::$known[$hex] ??= Recovery::of(Srgb::fromHex($hex));
    }

    /** The same in every band. */
    public static function flat(float $r): self
    {
        return new self(array_fill(0, Observer::BANDS, $r));
    }

    public function srgb(): Srgb
    {
        [$r, $g, $b] = Observer::rgbRows();

        return new Srgb($this->weighed($r), $this->weighed($g), $this->weighed($b));
    }

    /** @param  list<float>  $row */
    private function weighed(array $row): float
    {
        $sum = 0.0;
        foreach ($row as $i => $w) {
            $sum += $w * $this->r[$i];
        }

        return $sum;
    }

    public function lab(): Lab
    {
        return $this->srgb()->lab();
    }

    /**
     * @param  callable(float): float  $of
     */
    public function map(callable $of): self
    {
        return new self(array_map($of, $this->r));
    }

    /** As it is kept with a product: four hexadecimal digits a band. */
    public function packed(): string
    {
        return implode('', array_map(static fn (float $r): string => sprintf('%04x', (int) round(65535 * max(0.0, min(1.0, $r)))), $this->r));
    }

    /** @return self|null null where the text is no spectrum */
    public static function unpacked(string $text): ?self
    {
        if (preg_match('/\A[0-9a-f]{'. 4 * Observer::BANDS.'}\z/', $text) !== 1) {
            return null;
        }

        return new self(array_map(static fn (string $four): float => hexdec($four) / 65535, str_split($text, 4)));
    }
}
