<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Tool;
use AmberStep\Core\Mixing\Need;

/** What the colours of a build need, by both schools, and what to buy (handbook 4, Tally). */
final readonly class Tally
{
    /**
     * @param  list<ColourNeed>  $needs  what needs most first
     * @param  list<JarNeed>  $jars  what they come out of
     */
    private function __construct(public array $needs, public array $jars)
    {
    }

    /** @param  HouseRules  $house  says by which school */
    public static function of(Kit $kit, ColourLists $lists, Shelf $shelf, HouseRules $house): self
    {
        $byCount = $house->says('estimate', 'count');
        $needs = [];
        foreach ($lists->byColour as $colourId => $items) {
            $colour = $kit->colour((string) $colourId);
            $product = $shelf->find($colour?->product);
            if ($colour === null || $product === null) {
                continue;
            }
            $counts = array_sum(array_map(static fn (ListItem $i): int => $i->size->weight() * $i->count, $items));
            $byArea = self::neatMl($items, $product);
            $counted = self::neat($counts * Size::CM2_PER_COUNT, INF, $product) + self::keptByTheGun($product);
            $ml = $byCount ? $counted : $byArea;
            $steps = array_filter(array_map(static fn (ListItem $i): ?int => $i->step, $items), static fn (?int $s): bool => $s !== null);
            $needs[] = new ColourNeed(
                $colour->id, $colour->name, $colour->code, $product->id, $product->name, $product->swatch, count($items),
                array_sum(array_map(static fn (ListItem $i): int => $i->count, $items)), $counts, array_sum(array_map(static fn (ListItem $i): float => $i->cm2, $items)), $product->coats(),
                $byArea, $counted, $ml, $steps === [] ? null : min($steps),
            );
        }
        usort($needs, static fn (ColourNeed $a, ColourNeed $b): int => [$b->ml, $b->counts, $a->colour] <=> [$a->ml, $a->counts, $b->colour]);

        return new self($needs, JarNeed::all($needs, $shelf));
    }

    public function counts(): int
    {
        return array_sum(array_map(static fn (ColourNeed $n): int => $n->counts, $this->needs));
    }

    public function ml(): float
    {
        return array_sum(array_map(static fn (ColourNeed $n): float => $n->ml, $this->needs));
    }

    public function price(): float
    {
        return array_sum(array_map(static fn (JarNeed $j): float => $j->packs->price ?? 0.0, $this->jars));
    }

    /**
     * Neat paint, ml: each part by its own area, small ones at half the transfer, and what the gun keeps once.
     *
     * @param  list<ListItem>  $items
     */
    private static function neatMl(array $items, Product $product): float
    {
        $ml = self::keptByTheGun($product);
        foreach ($items as $item) {
            $ml += self::neat($item->cm2, $item->cm2 / $item->count, $product);
        }

        return $ml;
    }

    /** The first coat is a mist of half the film (handbook 4, Amount). */
    private static function neat(float $cm2, float $each, Product $product): float
    {
        $figures = $product->family->figures();

        return $cm2 <= 0 ? 0.0 : Need::of($cm2, $product->coats() - 0.5, $figures->referenceFilmMicrons, $figures->solidsByVolume, Tool::spraying($product->family, $each), 0, false)->neatMl;
    }

    private static function keptByTheGun(Product $product): float
    {
        return $product->family === \AmberStep\Core\Material\Family::Aerosol ? 0.0 : Tool::Airbrush->keeps() / (1 + $product->family->figures()->thinnerPerPaint->middle());
    }
}
