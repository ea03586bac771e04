<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Optics;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
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
        $liquid = $first = null;
        foreach (CupCheck::of(Recipe::kept($kept), array_map($shelf->find(...), $kept->products)) as [$fails, $says]) {
            if ($fails) {
                throw BadDocument::at('parts', 'do not go into one cup: '.lcfirst(rtrim($says, '.')), 'keep to one family and what thins it');
            }
        }
        foreach (Recipe::kept($kept)->shares() as $i => $share) {
            $product = $kept->parts[$i]->stuff === Stuff::Paint ? $shelf->find($kept->products[$i]) : null;
            $first ??= $product;
            if ($product?->swatch !== null) {
                $paints[] = [$product, $share];
            }
            $liquid = $kept->parts[$i]->stuff->liquid() ?? $liquid;
        }
        if ($paints === [] && $first !== null && in_array($first->role, [Role::Varnish, Role::Primer], true)) {
            // A varnish thinned, or with its hardener in: it has no colour to work out.
            return self::hardened($kept, new Product($id, $name, 'own mix', $first->family, $first->role, null, $first->sheen, $first->opacity, $first->bites, $first->etch, $first->grade, thinnedWith: $liquid === $first->family->liquid() ? null : $liquid, levelMl: $levelMl, mix: $kept));
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

        return self::hardened($kept, new Product(
            $id, $name, 'own mix', $first->family, $first->role, $metallic ? $first->swatch : $blend->thick->srgb()->hex(), $first->sheen, $first->opacity,
            thinnedWith: $liquid === $first->family->liquid() ? null : $liquid, levelMl: $levelMl,
            optics: count($paints) > 1 ? new Optics(max(Optics::SCATTERS[0], min(Optics::SCATTERS[1], round($blend->scattering, 4)))) : $first->optics, mix: $kept,
        ));
    }

    /** Enamel that is kept with hardener in it waits and dies in the cup as what it then is. */
    private static function hardened(KeptRecipe $kept, Product $mixed): Product
    {
        $has = array_filter($kept->parts, static fn (Part $p): bool => $p->stuff === Stuff::Hardener) !== [];

        return $has && $mixed->family === Family::Enamel ? $mixed->with(['family' => Family::HardenedEnamel->value]) : $mixed;
    }
}
