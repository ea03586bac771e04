<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Material\AttackTable;
use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\Effect;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Substrate;

/** Chooses primers, varnishes and washes from the shelf, so that the compiler's own layers never clash. */
final readonly class Choice
{
    public function __construct(private Shelf $shelf, private HouseRules $house)
    {
    }

    /**
     * The primer for a piece: one that every material of it takes and every colour on it gets on with.
     *
     * @param  list<Substrate>  $substrates
     * @param  list<Product>  $next  what is sprayed on it
     * @param  list<Product>  $under  what it is sprayed on, inside colours seen through panes
     */
    public function primer(array $substrates, array $next, array $under): Product
    {
        return $this->primers($substrates, $next, $under)[0];
    }

    /**
     * All primers on the shelf that do as well, in its order; the trade's usual one where none does.
     *
     * @param  list<Substrate>  $substrates
     * @param  list<Product>  $next
     * @param  list<Product>  $under
     * @return non-empty-list<Product>
     */
    public function primers(array $substrates, array $next, array $under): array
    {
        $slick = $metal = false;
        foreach ($substrates as $substrate) {
            $slick = $slick || $substrate->isSlickSheet();
            $metal = $metal || $substrate->isMetal();
        }
        $good = function (Product $primer, bool $strict) use ($substrates, $next, $under): bool {
            foreach ($substrates as $substrate) {
                if (! self::holdsOn($primer, $substrate)) {
                    return false;
                }
            }

            return self::getsOn($primer, $next, $under, $strict);
        };
        $otherwise = match (true) {
            in_array(Substrate::SoftVinyl, $substrates, true) => Family::PolymerPrimer,
            $metal, $slick => Family::SolventPrimer,
            default => Family::PolymerPrimer,
        };
        // A coarse one has to be cut before colour: taken only where nothing finer does.
        foreach ([[true, 1000], [false, 1000], [true, 0], [false, 0]] as [$strict, $grade]) {
            $found = array_values(array_filter($this->shelf->products, static fn (Product $p): bool => $p->role === Role::Primer && ($p->grade ?? 1000) >= $grade && $good($p, $strict)));
            if ($found !== []) {
                return $found;
            }
        }

        // None gets on with all of it: that of the family it takes, where there is one, before one nobody has.
        return [$this->shelf->pick(Role::Primer, static fn (Product $p): bool => $p->family === $otherwise, $otherwise)];
    }

    /** Whether a first coat of a product takes on a bare material. */
    public static function holdsOn(Product $product, Substrate $substrate): bool
    {
        $effect = AttackTable::onBare($substrate->below(), $product->liquid());

        return match (true) {
            $substrate->isSlickSheet() => $product->bites || $effect === Effect::Bites,
            $substrate->isMetal() => $product->etch || $effect === Effect::Ok,
            default => in_array($effect, [Effect::Ok, Effect::MistFirst, Effect::Bites], true),
        };
    }

    /**
     * @param  list<Product>  $next
     * @param  list<Product>  $under
     */
    private static function getsOn(Product $primer, array $next, array $under, bool $strict): bool
    {
        foreach ($next as $product) {
            $effect = AttackTable::after($primer->family->below(), $product->liquid());
            if ($effect->spoils() || ($strict && $effect !== Effect::Ok)) {
                return false;
            }
        }
        foreach ($under as $product) {
            $effect = AttackTable::after($product->family->below(), $primer->liquid());
            if ($effect->spoils() || ($strict && $effect !== Effect::Ok)) {
                return false;
            }
        }

        return true;
    }

    /**
     * A varnish that attacks nothing it lands on and stands what comes on top.
     *
     * @param  list<Below>  $below
     * @param  bool  $underWhiteSpirit  it has to be a barrier
     */
    public function varnish(Sheen $sheen, array $below, bool $underWhiteSpirit): Product
    {
        return $this->shelf->pick(Role::Varnish, static function (Product $p) use ($below, $underWhiteSpirit): bool {
            if ($underWhiteSpirit && $p->family->liquid() === Liquid::WhiteSpirit) {
                return false;
            }
            foreach ($below as $row) {
                $effect = AttackTable::after($row, $p->liquid());
                if ($effect->spoils() || $effect === Effect::MistOnly || $effect === Effect::Scuff) {
                    return false;
                }
            }

            return true;
        }, Family::WaterVarnish, $sheen);
    }

    /** The wash the house rule asks for. */
    public function wash(): Product
    {
        $families = match ($this->house->position('wash')) {
            'enamel' => [Family::Enamel],
            'acrylic' => [Family::WaterAcrylic],
            default => [Family::ArtistOil],
        };

        return $this->shelf->pick(Role::Wash, static fn (Product $p): bool => in_array($p->family, $families, true), $families[0]);
    }
}
