<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Work\Operation;

/**
 * One order for a build's colours: metallics first, for nothing hides their flakes' overspray; then colours
 * with a ground of their own, whose ground would fall on all the rest; then light before dark; then the
 * user's order.
 */
final readonly class ColourOrder
{
    /** @var array<string, int> place by colour id */
    private array $places;

    public function __construct(Kit $kit, Shelf $shelf, HouseRules $house = new HouseRules)
    {
        $grounded = [];
        foreach ($kit->areas as $area) {
            if ($area->intent->ground !== null && $area->intent->colour !== null) {
                $grounded[$area->intent->colour] = true;
            }
        }
        $colours = $kit->colours;
        $byCost = $house->says('light-first', 'by-cost');
        $key = static function (\AmberStep\Core\Kit\Colour $c) use ($shelf, $grounded, $byCost): array {
            $product = $shelf->find($c->product);

            return ! $byCost ? [0, 0, -round(self::lightness($product)), $c->position, $c->id] : [$product?->isMetallic() === true ? 0 : 1, isset($grounded[$c->id]) ? 0 : 1, -round(self::lightness($product)), $c->position, $c->id];
        };
        usort($colours, static fn ($a, $b): int => $key($a) <=> $key($b));
        $this->places = array_flip(array_map(static fn ($c): string => $c->id, $colours));
    }

    public function place(string $colourId): int
    {
        return $this->places[$colourId] ?? count($this->places);
    }

    /**
     * Places on one piece. What was begun there, off plan, stays first: nobody sprays an earlier colour
     * over a finished one without capping it.
     *
     * @param  iterable<Area>  $areas  of one piece and phase
     * @return array<string, int> place by colour id, first sprayed first
     */
    public function onPiece(iterable $areas, ModelState $surface): array
    {
        $places = $begun = [];
        foreach ($areas as $area) {
            $colour = (string) $area->intent->colour;
            $places[$colour] = $this->place($colour);
            $begun[$colour] = ($begun[$colour] ?? false) || $surface->area($area->id)->count(Operation::Colour, $colour) > 0;
        }
        $order = array_keys($places);
        usort($order, static fn (int|string $a, int|string $b): int => [! $begun[$a], $places[$a]] <=> [! $begun[$b], $places[$b]]);
        sort($places);

        return array_combine(array_map(strval(...), $order), $places);
    }

    /** CIE L* of a product's swatch, 0 to 100; 50 where it has none. sRGB to D65 Y, then CIE 1976. */
    public static function lightness(?Product $product): float
    {
        if ($product?->swatch === null) {
            return 50;
        }
        $linear = static fn (string $hex): float => (static fn (float $c): float => $c <= 0.04045 ? $c / 12.92 : (($c + 0.055) / 1.055) ** 2.4)(hexdec($hex) / 255);
        $y = 0.2126 * $linear(substr($product->swatch, 1, 2)) + 0.7152 * $linear(substr($product->swatch, 3, 2)) + 0.0722 * $linear(substr($product->swatch, 5, 2));

        return $y > 216 / 24389 ? 116 * $y ** (1 / 3) - 16 : 24389 / 27 * $y;
    }
}
