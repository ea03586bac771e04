<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Material\Product as Paint;
use AmberStep\Core\Material\Shelf;
use App\Models\Product;

/** The shelf, as core sees it. */
final class ShelfRepository
{
    private ?Shelf $shelf = null;

    public function shelf(): Shelf
    {
        /** @var list<Product> $rows */
        $rows = $this->shelf === null ? Product::query()->orderBy('position')->orderBy('id')->get()->all() : [];

        return $this->shelf ??= new Shelf(array_map(static fn (Product $p): Paint => Paint::fromArray($p->body), $rows));
    }

    /**
     * Puts products on the shelf that are not there yet, by id.
     *
     * @param  list<Paint>  $products
     */
    public function addMissing(array $products, bool $demo = false): void
    {
        $position = (int) Product::query()->max('position');
        foreach ($products as $product) {
            if (Product::query()->find($product->id) === null) {
                Product::query()->create(['id' => $product->id, 'position' => ++$position, 'body' => $product->toArray(), 'demo' => $demo]);
            }
        }
        $this->shelf = null;
    }
}
