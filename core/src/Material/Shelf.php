<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** The products the user owns, in the user's order, and the grits. */
final readonly class Shelf
{
    /** Ids of stand-ins the compiler plans with when nothing on the shelf fits; never stored. */
    private const GENERIC = '7ZZZZZZZZZZZZZZZZZZZZZZZ';

    /** @var array<string, Product> */
    private array $byId;

    /** @var list<Grit> */
    public array $grits;

    /**
     * @param  list<Product>  $products
     * @param  list<Grit>|null  $grits  null: nobody said, so all that are sold
     */
    public function __construct(public array $products, ?array $grits = null)
    {
        $this->grits = $grits ?? [...Grit::all(GritScale::Fepa), Grit::read('compound')];
        $byId = [];
        foreach ($products as $product) {
            $byId[$product->id] = $product;
        }
        $this->byId = $byId;
    }

    public function find(?string $id): ?Product
    {
        return $id === null ? null : $this->byId[$id] ?? self::generic($id);
    }

    public function isGeneric(Product $product): bool
    {
        return str_starts_with($product->id, self::GENERIC);
    }

    /**
     * The first product of a role that passes; the trade's usual one, unnamed, where the shelf has none.
     *
     * @param  callable(Product): bool  $fits
     */
    public function pick(Role $role, callable $fits, Family $otherwise, ?Sheen $sheen = null): Product
    {
        foreach ($this->products as $product) {
            if ($product->role === $role && ($sheen === null || $product->sheen === $sheen) && $fits($product)) {
                return $product;
            }
        }

        return self::stand($role, $otherwise, $sheen);
    }

    private static function stand(Role $role, Family $family, ?Sheen $sheen): Product
    {
        $code = sprintf('%1$s%2$s', self::digit(Family::cases(), $family), self::digit([...Sheen::cases(), Role::Primer, Role::Wash, Role::Colour], $sheen ?? $role));

        return self::generic(self::GENERIC.$code) ?? throw new \LogicException('a stand-in is always known');
    }

    private static function generic(string $id): ?Product
    {
        if (! str_starts_with($id, self::GENERIC)) {
            return null;
        }
        $family = Family::cases()[self::index($id[24])] ?? Family::WaterAcrylic;
        $what = [...Sheen::cases(), Role::Primer, Role::Wash, Role::Colour][self::index($id[25])] ?? Role::Colour;
        if ($what instanceof Sheen) {
            return new Product($id, "any {$what->value} ".($family === Family::WaterVarnish ? 'water acrylic varnish' : $family->word().' clear'), '', $family, Role::Varnish, null, $what);
        }
        $name = match ($what) {
            Role::Primer => "any {$family->word()}".(str_contains($family->word(), 'primer') ? '' : ' primer'),
            Role::Wash => "any {$family->word()} wash",
            default => "any {$family->word()}",
        };

        return new Product($id, $name, '', $family, $what, $what === Role::Primer ? '#9B9B9B' : null, bites: $family->liquid() === Liquid::Lacquer, grade: $what === Role::Primer ? 1000 : null);
    }

    /** @param  list<\UnitEnum>  $cases */
    private static function digit(array $cases, \UnitEnum $case): string
    {
        return '0123456789ABCDEFGH'[(int) array_search($case, $cases, true)];
    }

    private static function index(string $digit): int
    {
        return (int) strpos('0123456789ABCDEFGH', $digit);
    }
}
