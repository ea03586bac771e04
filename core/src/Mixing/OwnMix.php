<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Optics;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Stuff;

/** A colour mixed by oneself, as a paint of the shelf. */
final class OwnMix
{
    /**
     * The paint it makes, for the shelf: its look and scattering worked out from what is in it, until a spoon of it is read.
     *
     * @throws BadDocument where nothing in it is a paint of the shelf with a colour, or it is not calculated
     */
    public static function of(KeptRecipe $kept, string $id, string $name, Shelf $shelf, ?float $levelMl): Product
    {
        $paints = [];
        $liquid = null;
        foreach (Recipe::kept($kept)->shares() as $i => $share) {
            $product = $kept->parts[$i]->stuff === Stuff::Paint ? $shelf->find($kept->products[$i]) : null;
            if ($product?->swatch !== null) {
                $paints[] = [$product, $share];
            }
            $liquid = $kept->parts[$i]->stuff->liquid() ?? $liquid;
        }
        if ($paints === []) {
            throw BadDocument::at('parts', 'hold no paint of the shelf that has a colour', 'choose paints of the shelf');
        }
        $blend = new Blend($paints);
        $refused = count($paints) > 1 ? $blend->refuses() : null;
        if ($refused !== null) {
            throw BadDocument::at('parts', 'are not worked out: '.$refused, 'keep solid colours together');
        }
        $first = $paints[0][0];
        $metallic = $first->isMetallic();

        return new Product(
            $id, $name, 'own mix', $first->family, $first->role, $metallic ? $first->swatch : $blend->thick->srgb()->hex(), $first->sheen, $first->opacity,
            thinnedWith: $liquid === $first->family->liquid() ? null : $liquid, levelMl: $levelMl,
            optics: count($paints) > 1 ? new Optics(max(Optics::SCATTERS[0], min(Optics::SCATTERS[1], round($blend->scattering, 4)))) : $first->optics, mix: $kept,
        );
    }
}
