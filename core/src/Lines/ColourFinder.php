<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Shelf;

/** A colour of the build by its name, else a paint of the shelf, which then becomes a colour of the build. */
final readonly class ColourFinder
{
    private const PAINTS = [Role::Colour, Role::Metallic, Role::TintedClear, Role::Varnish, Role::Primer];

    public function __construct(private Shelf $shelf, private Draft $draft)
    {
    }

    /**
     * @return string|null id of the colour; null where nothing has that name
     *
     * @throws NotRead where several paints have it
     */
    public function find(Phrase $phrase): ?string
    {
        $ref = Ref::read($phrase, 'a colour');
        $known = $this->draft->find('colours', $ref);
        if ($known !== null) {
            return $known;
        }
        $product = $this->product($phrase);
        if ($product === null) {
            return null;
        }
        foreach ($this->draft->all('colours') as $colour) {
            if ($colour['product'] === $product->id) {
                return is_string($colour['id']) ? $colour['id'] : null;
            }
        }

        return $this->draft->findOrMake('colours', new Ref($ref->name), ['product' => $product->id, 'mustMatch' => $product->isMetallic()]);
    }

    /**
     * A product by name, by range and name, or by the end of its name.
     *
     * @throws NotRead where several have it
     */
    public function product(Phrase $phrase): ?Product
    {
        if (preg_match('/\A\{([0-9A-Z]{26})\}\z/', $phrase->text, $m) === 1) {
            return $this->shelf->find($m[1]) ?? throw new NotRead("nothing on the shelf has the id {$m[1]}", 'give the name of a paint on the shelf');
        }
        $wanted = mb_strtolower(Ref::read($phrase, 'a paint')->name);
        $exact = $ending = [];
        foreach ($this->shelf->products as $product) {
            $name = mb_strtolower($product->name);
            if ($name === $wanted || mb_strtolower($product->range.' '.$product->name) === $wanted) {
                $exact[] = $product;
            } elseif (str_ends_with($name, ' '.$wanted) && in_array($product->role, self::PAINTS, true)) {
                $ending[] = $product;
            }
        }
        $found = $exact === [] ? $ending : $exact;
        if (count($found) > 1) {
            throw new NotRead("\"{$phrase->text}\" is the name of ".count($found).' paints', 'say which: '.implode(' or ', array_map(static fn (Product $p): string => str_starts_with($p->name, $p->range) ? $p->name : $p->range.' '.$p->name, array_slice($found, 0, 3))));
        }

        return $found[0] ?? null;
    }

    /** Whether nothing has that name: neither a colour of the build nor a paint. */
    public function isNone(Phrase $phrase): bool
    {
        return $this->draft->find('colours', Ref::read($phrase, 'a colour')) === null && $this->product($phrase) === null;
    }

    /** @return list<string> */
    public function names(): array
    {
        return [...$this->draft->names('colours'), ...array_map(static fn (Product $p): string => $p->name, $this->shelf->products)];
    }

    public function swatch(string $colourId): ?string
    {
        $product = $this->draft->get('colours', $colourId, 'product');

        return $this->shelf->find(is_string($product) ? $product : null)?->swatch;
    }
}
