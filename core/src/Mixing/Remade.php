<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;

/** Kept recipes worked out anew once a paint in them is another, or known better: what a spoon showed of it is in all that is mixed from it. */
final class Remade
{
    /** What of a paint a recipe's look rests on. */
    private const RESTS_ON = ['family', 'role', 'swatch', 'sheen', 'opacity', 'optics'];

    /**
     * @param  Product  $was  as it stands on the shelf
     * @param  Product  $is  as it is now
     * @return list<Product> the recipes that come out otherwise, those mixed from them too
     */
    public static function after(Product $was, Product $is, Shelf $shelf): array
    {
        $same = array_flip(self::RESTS_ON);
        if (array_intersect_key($was->toArray(), $same) === array_intersect_key($is->toArray(), $same)) {
            return [];
        }
        $now = [$is->id => $is];
        $out = [];
        for ($open = [$is->id]; $open !== [];) {
            $id = array_shift($open);
            foreach ($shelf->products as $kept) {
                if ($kept->mix === null || isset($now[$kept->id]) || ! in_array($id, $kept->mix->products, true)) {
                    continue;
                }
                $fresh = self::again($kept, new Shelf(array_map(static fn (Product $p): Product => $now[$p->id] ?? $p, $shelf->products), $shelf->grits));
                if ($fresh !== null && $fresh->toArray() !== $kept->toArray()) {
                    $out[] = $now[$kept->id] = $fresh;
                    $open[] = $kept->id;
                }
            }
        }

        return $out;
    }

    /** The recipe with its look of today; its jar, and a spoon read of itself, stay. Null where it cannot be worked out any more. */
    private static function again(Product $kept, Shelf $shelf): ?Product
    {
        try {
            $fresh = $kept->mix === null ? null : OwnMix::of($kept->mix, $kept->id, $kept->name, $shelf, $kept->levelMl);
        } catch (BadDocument) {
            return null;
        }

        return $fresh?->with(self::ofTheJar($kept))->withSpectrum();
    }

    /** @return array<string, mixed> what belongs to the jar, and what was seen of the mix itself */
    public static function ofTheJar(Product $kept): array
    {
        $all = $kept->toArray();

        return array_intersect_key($all, array_flip(['sizeMl', 'price', 'otherPacks', 'triedOn', 'dropsPerMl', 'stirred', 'label'])) + ($kept->optics?->spoonEpoch === null ? [] : ['optics' => $all['optics']]);
    }
}
