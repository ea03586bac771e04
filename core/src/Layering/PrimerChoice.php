<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Opacity;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Work\Operation;

/** Which primer goes on what of a piece: one its plastic takes, in the shade that saves coats (handbook 2, Grounds). */
final class PrimerChoice
{
    /** Coats a colour has to save before a piece gets a second shade of primer for it. */
    private const A_SHADE_OF_ITS_OWN = 3;

    /** CIEDE2000 up to which primers are of one shade. */
    private const SAME_SHADE = 8.0;

    /** L* of a primer that shows faults best and favours no colour. */
    private const NEUTRAL = 64.0;

    /** Chroma under which a metallic is bare metal and not a coloured one. */
    private const BARE_METAL_CHROMA = 8.0;

    /** @var array<string, array<string, Wanted>> what was chosen, by the areas it was chosen for */
    private array $chosen = [];

    public function __construct(private readonly Kit $kit, private readonly HouseRules $house, private readonly Shelf $shelf, private readonly Choice $choice, private readonly Pins $pins, public readonly Hiding $hiding, private readonly ModelState $surface)
    {
    }

    /**
     * @param  non-empty-list<Area>  $areas  painted areas of one piece and phase
     * @return array<string, Wanted> by area id; empty where nothing is primed
     */
    public function under(array $areas, Piece $piece): array
    {
        return $this->chosen[implode(' ', array_map(static fn (Area $a): string => $a->id, $areas))] ??= $this->choose($areas, $piece);
    }

    /**
     * @param  non-empty-list<Area>  $areas
     * @return array<string, Wanted>
     */
    private function choose(array $areas, Piece $piece): array
    {
        // Tinted clear goes straight on clear plastic: primer or matt would blind it.
        $areas = array_values(array_filter($areas, fn (Area $a): bool => ! $this->isTintedLens($a)));
        if ($areas === [] || ! $this->isPrimed($areas, $piece)) {
            return [];
        }
        $suitable = $this->suitable($areas);
        $main = self::best($suitable, fn (Product $p): array => [$this->coats($areas, $p), $this->unlike($areas, $p)]);
        // About two coats on grey or white plastic, four over red or black (handbook 2).
        $dark = array_filter($areas, fn (Area $a): bool => MouldedColour::isHardToCover($this->kit->partsById[$a->part]->mouldedColour)) !== [];
        $rest = $this->house->says('primer-coat', 'wet') ? CoatKind::Wet : CoatKind::Light;
        $out = [];
        foreach ($areas as $area) {
            $own = self::best($suitable, fn (Product $p): array => [$this->coats([$area], $p), $this->unlike([$area], $p)]);
            $lies = $this->lies($area);
            $apart = $lies === null && $this->coats([$area], $main) - $this->coats([$area], $own) >= self::A_SHADE_OF_ITS_OWN;
            $out[$area->id] = new Wanted(Operation::Prime, $apart ? 'all+'.$own->id : 'all', $lies ?? ($apart ? $own : $main), $dark ? 4 : 2, CoatKind::Light, $rest);
        }

        return $out;
    }

    /**
     * Primers of another shade that would do as well under these areas, by what of them is chosen.
     *
     * @param  non-empty-list<Area>  $areas  painted areas of one piece and phase
     * @param  array<string, Wanted>  $chosen  by area id
     * @return list<Product>
     */
    public function otherShades(array $areas, array $chosen): array
    {
        $shades = [];
        foreach ($chosen === [] ? [] : $this->suitable($areas) as $primer) {
            $same = array_filter([...$shades, ...array_map(static fn (Wanted $w): ?Product => $w->product, array_values($chosen))], static fn (?Product $p): bool => $p !== null && ! self::isAnotherShade($p, $primer));
            if ($same === [] && $primer->swatch !== null) {
                $shades[] = $primer;
            }
        }

        return $shades;
    }

    /** The primer that lies on an area already: what it is the plan goes on from. */
    private function lies(Area $area): ?Product
    {
        foreach ($this->surface->area($area->id)->layers as $layer) {
            if ($layer->operation === Operation::Prime) {
                return $layer->product;
            }
        }

        return null;
    }

    /** @param  list<Area>  $areas */
    private function isPrimed(array $areas, Piece $piece): bool
    {
        $needed = false;
        foreach ($areas as $area) {
            $substrate = $this->substrate($area);
            $needed = $needed || $substrate->isMetal() || $substrate->isSlickSheet() || $substrate === Substrate::Resin || $substrate === Substrate::Printed;
            foreach ($this->next($area) as $product) {
                $needed = $needed || $product->liquid() === Liquid::TwoPart || ($this->house->says('primer', 'where-needed') && $product->opacity === Opacity::Weak);
            }
        }

        return $this->pins->present(Operation::Prime, 'all', $piece->id, ...array_map(static fn (Area $a): string => $a->id, $areas)) ?? ($this->house->says('primer', 'always') || $needed);
    }

    /**
     * @param  non-empty-list<Area>  $areas
     * @return non-empty-list<Product>
     */
    private function suitable(array $areas): array
    {
        $substrates = $next = $under = [];
        foreach ($areas as $area) {
            $substrate = $this->substrate($area);
            // Abraded metal gives any primer a hold: it does not decide which.
            if (! $substrate->isMetal() || ! $this->house->says('etch', 'abrade')) {
                $substrates[] = $substrate;
            }
            array_push($next, ...$this->next($area));
            $inside = $this->product($area->intent->insideColour);
            array_push($under, ...($inside === null ? [] : [$inside]));
        }

        return $this->choice->primers(array_values(array_unique($substrates, SORT_REGULAR)), $next, $under);
    }

    /**
     * Coats the colours of areas need over a primer, all colours together.
     *
     * @param  list<Area>  $areas
     */
    private function coats(array $areas, Product $primer): int
    {
        $coats = [];
        foreach ($areas as $area) {
            $colour = $this->first($area);
            if ($colour?->role === Role::Colour) {
                $coats[$colour->id] = $this->hiding->coats($colour, $primer->swatch);
            }
        }

        return array_sum($coats);
    }

    /**
     * How far a primer is from what suits areas where coats make no odds: black under bare metal, silver or grey under a
     * coloured metallic, else grey.
     *
     * @param  list<Area>  $areas
     */
    private function unlike(array $areas, Product $primer): float
    {
        $wanted = self::NEUTRAL;
        foreach ($areas as $area) {
            $colour = $this->first($area);
            if ($colour?->isMetallic() === true && $colour->swatch !== null) {
                $lab = Srgb::fromHex($colour->swatch)->lab();
                $wanted = $lab->chroma() < self::BARE_METAL_CHROMA ? 0.0 : self::NEUTRAL;
            }
        }

        return $primer->swatch === null ? 0.0 : round(abs(Srgb::fromHex($primer->swatch)->lab()->l - $wanted) / 10);
    }

    /** What lies right on the primer of an area and has to hide it. */
    private function first(Area $area): ?Product
    {
        return $this->product($area->intent->ground) ?? $this->product($area->intent->colour);
    }

    /** @return list<Product> */
    private function next(Area $area): array
    {
        return array_values(array_filter(array_map($this->product(...), [$area->intent->preshade, $area->intent->ground, $area->intent->colour])));
    }

    private function isTintedLens(Area $area): bool
    {
        return $this->substrate($area) === Substrate::ClearStyrene && $this->product($area->intent->colour)?->role === Role::TintedClear;
    }

    private function substrate(Area $area): Substrate
    {
        return $this->kit->partsById[$area->part]->substrate;
    }

    private function product(?string $colourId): ?Product
    {
        return $this->shelf->find($this->kit->colour($colourId)?->product);
    }

    /** Two greys are one shade: the first on the shelf stays, and the gun with it. */
    private static function isAnotherShade(Product $a, Product $b): bool
    {
        return $a->swatch !== null && $b->swatch !== null && Srgb::fromHex($a->swatch)->lab()->deltaE(Srgb::fromHex($b->swatch)->lab()) > self::SAME_SHADE;
    }

    /**
     * The first of the least.
     *
     * @param  non-empty-list<Product>  $primers
     * @param  callable(Product): array{int, float}  $cost
     */
    private static function best(array $primers, callable $cost): Product
    {
        $best = $primers[0];
        foreach ($primers as $primer) {
            $best = self::isAnotherShade($primer, $best) && $cost($primer) < $cost($best) ? $primer : $best;
        }

        return $best;
    }
}
