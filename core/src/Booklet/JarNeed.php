<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Stuff;
use AmberStep\Core\Mixing\Packs;

/** What one jar has to give for all colours that come out of it, as they are or in a mix (handbook 4, Tally). */
final readonly class JarNeed
{
    /** Mixes of mixes are followed so deep. */
    private const DEPTH = 4;

    /**
     * @param  list<string>  $colours  of the build that take from it
     * @param  float  $ml  neat paint, ml
     */
    private function __construct(public Product $product, public array $colours, public float $ml, public float $buyMl, public ?Packs $packs)
    {
    }

    /**
     * @param  list<ColourNeed>  $needs
     * @return list<self> what gives most first
     */
    public static function all(array $needs, Shelf $shelf): array
    {
        $ml = $colours = [];
        $made = self::made($needs, $shelf);
        foreach ($needs as $need) {
            // What is mixed already is spent once, by whoever comes first.
            $ready = min($need->ml, $made[$need->product] ?? 0.0);
            $made[$need->product] = ($made[$need->product] ?? 0.0) - $ready;
            foreach (self::jars($need->product, $need->ml - $ready, $shelf, self::DEPTH) as [$jar, $share]) {
                $ml[$jar] = ($ml[$jar] ?? 0.0) + $share;
                $colours[$jar][] = $need->name;
            }
        }
        arsort($ml);
        $out = [];
        foreach ($ml as $jar => $total) {
            $product = $shelf->find((string) $jar);
            if ($product !== null) {
                $short = max(0.0, $total - ($product->levelMl ?? 0));
                $out[] = new self($product, array_values(array_unique($colours[$jar])), $total, $short, Packs::cheapest($short, $product->packs()));
            }
        }

        return $out;
    }

    /**
     * @param  list<ColourNeed>  $needs
     * @return array<string, float> ml that are mixed already, by own mix
     */
    private static function made(array $needs, Shelf $shelf): array
    {
        $made = [];
        foreach ($needs as $need) {
            $product = $shelf->find($need->product);
            $made[$need->product] = $product?->mix === null ? 0.0 : $product->levelMl ?? 0.0;
        }

        return $made;
    }

    /** @return list<array{string, float}> jars and the ml each gives */
    private static function jars(string $productId, float $ml, Shelf $shelf, int $depth): array
    {
        $mix = $shelf->find($productId)?->mix;
        $paints = $mix === null || $depth === 0 ? [] : array_filter($mix->parts, static fn (Part $p, int $i): bool => $p->stuff === Stuff::Paint && $mix->products[$i] !== null, ARRAY_FILTER_USE_BOTH);
        $whole = array_sum(array_map(static fn (Part $p): float => $p->amount, $paints));
        if ($mix === null || $paints === [] || $whole <= 0) {
            return [[$productId, $ml]];
        }
        $jars = [];
        foreach ($paints as $i => $part) {
            array_push($jars, ...self::jars((string) $mix->products[$i], $ml * $part->amount / $whole, $shelf, $depth - 1));
        }

        return $jars;
    }
}
