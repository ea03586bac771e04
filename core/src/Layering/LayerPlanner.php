<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Kit\WashKind;
use AmberStep\Core\Material\AttackTable;
use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Effect;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Work\Operation;

/** From intent to layers: what has to lie on each area, bottom to top, so that it looks as wanted. */
final class LayerPlanner
{
    /** µm of clear that polishing wants to start from. */
    public const POLISH_MICRONS = 40;

    /** Thin passes of tinted clear that give the tone of its swatch (handbook 4, Colour). */
    private const TINT_COATS = 3;

    /** L* from which a colour is pale, so that darkened lines show through it. */
    private const PALE = 65.0;

    /** Purpose of the pre-shade nobody typed. */
    private const LINES = 'lines';

    private readonly Hiding $hiding;

    public function __construct(private readonly Kit $kit, private readonly HouseRules $house, private readonly Shelf $shelf, private readonly Choice $choice, private readonly Pins $pins, private readonly PrimerChoice $primers)
    {
        $this->hiding = $primers->hiding;
    }

    /**
     * @param  non-empty-list<Area>  $areas  painted areas of one piece and phase
     * @return array<string, list<Wanted>> by area id, oldest first
     */
    public function layers(array $areas, Piece $piece): array
    {
        $primers = $this->primers->under($areas, $piece);
        $decals = ! $this->house->says('insignia', 'masks') && self::any($areas, static fn (Area $a): bool => $a->intent->decals);
        $pinWash = self::any($areas, static fn (Area $a): bool => $a->intent->wash === WashKind::Pin);
        $wash = self::any($areas, static fn (Area $a): bool => $a->intent->wash !== null);
        $out = [];
        foreach ($areas as $area) {
            $stack = new WantedStack($this->pins, $area, $piece->id, $this->shelf);
            $this->grounds($stack, $area, $primers[$area->id] ?? null);
            $colour = $this->product($area->intent->colour);
            if ($colour?->role === Role::TintedClear) {
                // Very thin, many passes; it never hides, and the tone is built up.
                $stack->add(Operation::Colour, (string) $area->intent->colour, $colour, self::TINT_COATS, CoatKind::Mist, CoatKind::Mist);
            } elseif ($colour !== null) {
                $stack->add(Operation::Colour, (string) $area->intent->colour, $colour, $this->hiding->coats($colour, $stack->ground() ?? $this->kit->partsById[$area->part]->mouldedColour) + ($this->isThinned($colour) ? 1 : 0), CoatKind::Mist, CoatKind::Light);
            }
            if ($colour !== null && $area->intent->decals && ! $this->house->says('insignia', 'decals')) {
                // In a paint of the family below; which shades they are the sheet of markings says.
                $stack->add(Operation::Insignia, 'all', $colour, 2, CoatKind::Mist, CoatKind::Light);
            }
            $glossy = $colour?->sheen?->isGlossy() === true;
            $melts = $wash && $colour !== null && self::melts($colour, $this->choice->wash());
            // A pin wash runs on satin too: one coat of it, where the house has it so and no decals ask for gloss.
            $satin = ! $decals && $this->house->says('barrier', 'satin') && (! $glossy || $melts);
            if (($decals || $pinWash) && ! $satin && (! $glossy || $melts)) {
                $gloss = $this->choice->varnish(Sheen::Gloss, $stack->rows(), $wash);
                $stack->add(Operation::Gloss, 'all', $gloss, 2, CoatKind::Light, CoatKind::Wet);
            }
            if ($decals && $area->intent->decals) {
                $stack->decal();
            }
            if ($decals && $wash) {
                $seal = $this->choice->varnish(Sheen::Gloss, $stack->rows(), true);
                $stack->add(Operation::Seal, 'all', $seal, 1, CoatKind::Light, CoatKind::Light);
            }
            $this->washes($stack, $area, $decals || ($pinWash && ! $satin));
            $this->finish($stack, $area, $colour);
            $out[$area->id] = $stack->wanted();
        }

        return $out;
    }

    /** House rule: water acrylics thinner than the label, in a coat more, at lower pressure. */
    public function isThinned(?Product $product): bool
    {
        return $product?->family === Family::WaterAcrylic && $product->role === Role::Colour && $this->house->says('thinning', 'thinner');
    }

    public function product(?string $colourId): ?Product
    {
        return $this->shelf->find($this->kit->colour($colourId)?->product);
    }

    /** A product by id, where the shelf knows it. */
    public function known(?string $id): ?Product
    {
        return $this->shelf->find($id);
    }

    /** The paint an area is to have, on the shelf; null where it wants none. */
    public function wantedOn(string $areaId): ?Product
    {
        return $this->product(($this->kit->areasById[$areaId] ?? null)?->intent->colour);
    }

    /** A coat a remedy asks for without naming its product. */
    public function anyVarnish(): Product
    {
        return $this->choice->varnish(Sheen::Gloss, [], false);
    }

    /** Primer for a spot where none lay before. */
    public function anyPrimer(): Product
    {
        return $this->choice->primer([Substrate::Styrene], [], []);
    }

    public function substrate(Area $area): Substrate
    {
        return $this->kit->partsById[$area->part]->substrate;
    }

    private function grounds(WantedStack $stack, Area $area, ?Wanted $primer): void
    {
        $inside = $this->product($area->intent->insideColour);
        if ($inside !== null) {
            $stack->add(Operation::InsideColour, (string) $area->intent->insideColour, $inside, min(2, $inside->coats()), CoatKind::Mist, CoatKind::Light);
        }
        if ($primer !== null && $primer->product !== null) {
            $stack->add(Operation::Prime, $primer->purpose, $primer->product, $primer->coats, $primer->first, $primer->rest);
        }
        $shade = $this->product($area->intent->preshade) ?? $this->darkened($area);
        if ($shade !== null) {
            $stack->add(Operation::Preshade, $area->intent->preshade ?? self::LINES, $shade, 1, CoatKind::Mist, CoatKind::Mist);
        }
        $ground = $this->product($area->intent->ground);
        if ($ground !== null) {
            $stack->add(Operation::Ground, (string) $area->intent->ground, $ground, min(2, $ground->coats()), CoatKind::Mist, CoatKind::Light);
        }
    }

    /** House rule: the lines of pale colours are darkened first, with the darkest solid paint there is. */
    private function darkened(Area $area): ?Product
    {
        $colour = $this->product($area->intent->colour);
        if (! $this->house->says('darkened-lines', 'pale') || $area->face !== Face::Outside || $colour?->swatch === null || $colour->role !== Role::Colour || Srgb::fromHex($colour->swatch)->lab()->l < self::PALE) {
            return null;
        }
        $darkest = null;
        foreach ($this->shelf->products as $product) {
            $fits = $product->role === Role::Colour && $product->swatch !== null && AttackTable::after($product->family->below(), $colour->liquid()) === Effect::Ok;
            if ($fits && ($darkest === null || Srgb::fromHex($product->swatch)->lab()->l < Srgb::fromHex((string) $darkest->swatch)->lab()->l)) {
                $darkest = $product;
            }
        }

        return $darkest;
    }

    private function washes(WantedStack $stack, Area $area, bool $glossed): void
    {
        if ($area->intent->wash === null) {
            return;
        }
        $wash = $this->choice->wash();
        $colour = $this->product($area->intent->colour);
        if (! $glossed && (! $this->house->says('barrier', 'none') || ($colour !== null && self::melts($colour, $wash)))) {
            // A filter pools on gloss: it wants satin under it, whatever washes get.
            $sheen = $area->intent->wash === WashKind::Filter || $this->house->says('barrier', 'satin') ? Sheen::Satin : Sheen::Gloss;
            $stack->add(Operation::Barrier, 'all', $this->choice->varnish($sheen, $stack->rows(), true), 1, CoatKind::Light, CoatKind::Light);
        }
        $stack->add($area->intent->wash === WashKind::Pin ? Operation::PinWash : Operation::Filter, 'all', $wash, 1, CoatKind::Light, CoatKind::Light);
    }

    /** White spirit melts enamel and oil: a wash never goes on them without a barrier. */
    private static function melts(Product $below, Product $wash): bool
    {
        return $wash->liquid() === Liquid::WhiteSpirit && in_array($below->family->below(), [Below::Enamel, Below::ArtistOil], true);
    }

    private function finish(WantedStack $stack, Area $area, ?Product $colour): void
    {
        $wanted = $area->intent->sheen ?? ($stack->isVarnished() ? $colour->sheen ?? Sheen::Matt : null);
        // Polish cuts clear, never colour; and flakes want clear over them, however glossy their paint.
        $underClear = $area->intent->polish || $colour?->isMetallic() === true;
        if ($area->intent->sheen === null && ! $area->intent->polish && $stack->topIsWash() && $this->house->says('weathering', 'open')) {
            return;
        }
        if ($wanted !== null && ($stack->topSheen() !== $wanted || $stack->topIsOpen() || ($underClear && ! $stack->isVarnished()))) {
            $varnish = $this->choice->varnish($wanted, $stack->rows(), false);
            $rest = $wanted->isGlossy() ? CoatKind::Wet : CoatKind::Light;
            $stack->add(Operation::Final, $wanted->value, $varnish, $area->intent->polish ? self::coatsToPolish($varnish, $rest) : 2, CoatKind::Light, $rest);
        }
        if ($area->intent->polish) {
            $stack->plain(Operation::Polish, 'all');
        }
    }

    /** Coats until there is clear enough to flat and polish without going through (handbook 4, Film). */
    private static function coatsToPolish(Product $varnish, CoatKind $rest): int
    {
        $reference = $varnish->family->figures()->referenceFilmMicrons;

        return max(2, 1 + (int) ceil((self::POLISH_MICRONS - CoatKind::Light->filmMicrons($reference)) / $rest->filmMicrons($reference)));
    }

    /**
     * @param  list<Area>  $areas
     * @param  callable(Area): bool  $has
     */
    private static function any(array $areas, callable $has): bool
    {
        foreach ($areas as $area) {
            if ($has($area)) {
                return true;
            }
        }

        return false;
    }

    /** Every coat mist, and one more, on what takes mist coats only. */
    public static function mistIfAsked(Wanted $wanted, Below $below): Wanted
    {
        if ($wanted->product === null || AttackTable::after($below, $wanted->product->liquid()) !== Effect::MistOnly) {
            return $wanted;
        }

        // As much film as a mist and lights: a mist is half a coat.
        return new Wanted($wanted->operation, $wanted->purpose, $wanted->product, max($wanted->coats + 1, 2 * $wanted->coats - 1), CoatKind::Mist, CoatKind::Mist);
    }
}
