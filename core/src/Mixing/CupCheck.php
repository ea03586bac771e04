<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Stuff;

/** Whether what is in a cup bears its company: thinner of the family's list, families that mix, water within bounds (rule thinner-fits). */
final class CupCheck
{
    /** Water may be up to so much of what thins a water acrylic (handbook 2: own; water below half of it). */
    private const WATER = 0.5;

    /**
     * @param  list<Product|null>  $products  by part of the recipe
     * @return list<array{bool, string}> whether it would fail, and a sentence
     */
    public static function of(Recipe $recipe, array $products): array
    {
        $said = [];
        $families = [];
        foreach ($products as $product) {
            if ($product !== null) {
                $families[$product->family->value] = $product->family;
            }
        }
        $first = reset($families);
        if ($first === false) {
            return [];
        }
        foreach ($families as $family) {
            if ($family->liquid() !== $first->liquid()) {
                $said[] = [true, ucfirst($family->word()).' and '.$first->word().' do not mix: it curdles in the cup.'];
            }
        }
        foreach ($recipe->parts as $part) {
            $liquid = $part->stuff->liquid();
            // A two-part paint's own thinner is its own: nothing is known of it but its name.
            if ($liquid !== null && $first !== Family::TwoPart && ! in_array($liquid, $first->thinners(), true)) {
                $said[] = [true, ucfirst($first->word())." takes {$first->figures()->thinner}: in {$part->name} ".($first->liquid() === Liquid::WaterAcrylic ? 'it curdles.' : 'it separates, or bites what is under it.')];
            }
            if ($part->stuff === Stuff::Hardener && ! in_array($first, [Family::Enamel, Family::HardenedEnamel, Family::TwoPart], true)) {
                $said[] = [true, 'Hardener is for enamel and two-part paint: in '.$first->word().' it sets to rubber.'];
            }
        }
        if (self::tooMuchWater($recipe, $first)) {
            $said[] = [false, 'More water than half of what it is thinned with: it beads and pulls off edges; the rest should be its own thinner.'];
        }

        return $said;
    }

    private static function tooMuchWater(Recipe $recipe, Family $family): bool
    {
        $water = $thinner = 0.0;
        foreach ($recipe->shares() as $i => $share) {
            $thins = $recipe->parts[$i]->stuff->isThinner();
            $thinner += $thins ? $share : 0;
            // The family's own thinner is water-like too: only what is called water counts.
            $water += $thins && $recipe->parts[$i]->stuff === Stuff::Water && str_contains(mb_strtolower($recipe->parts[$i]->name), 'water') ? $share : 0;
        }

        return $family === Family::WaterAcrylic && $thinner > 0 && $water > self::WATER * $thinner + 1e-9;
    }
}
