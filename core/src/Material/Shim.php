<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** A straight gap filled with card: the thickest that goes in, again while 0.3 mm or more is left, the rest to filler (handbook 4, Shim). */
final readonly class Shim
{
    /** Card on sale, mm (handbook 2, Fillers). */
    public const CARD = [2.0, 1.5, 1.0, 0.75, 0.5, 0.38, 0.25, 0.13];

    public const LEAST_GAP = 0.3;

    private const MM_PER_THOU = 0.0254;

    /**
     * @param  list<float>  $card  mm, in the order they go in
     * @param  float  $rest  mm left to filler
     */
    private function __construct(public array $card, public float $rest)
    {
    }

    /** @param  float  $gapMm  0.3 to 20 */
    public static function of(float $gapMm): self
    {
        $card = [];
        $rest = $gapMm;
        while ($rest >= self::LEAST_GAP - 1e-9) {
            foreach (self::CARD as $stock) {
                if ($stock <= $rest + 1e-9) {
                    $card[] = $stock;
                    $rest -= $stock;
                    break;
                }
            }
        }

        return new self($card, max(0.0, round($rest, 4)));
    }

    /** "0.75 mm (30 thou)" */
    public static function words(float $mm): string
    {
        return sprintf('%s mm (%d thou)', rtrim(rtrim(sprintf('%.2f', $mm), '0'), '.'), (int) round($mm / self::MM_PER_THOU));
    }
}
