<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Material\Product as Paint;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Mixing\Remade;
use App\Models\Product;
use Illuminate\Support\Facades\DB;

/** The shelf, as core sees it. */
final class ShelfRepository
{
    private ?Shelf $shelf = null;

    public function __construct(private readonly Settings $settings)
    {
    }

    public function shelf(): Shelf
    {
        /** @var list<Product> $rows */
        $rows = $this->shelf === null ? Product::query()->orderBy('position')->orderBy('id')->get()->all() : [];

        if ($this->shelf === null) {
            $paints = array_map(static fn (Product $p): Paint => Paint::fromArray($p->body), $rows);
            $this->shelf = new Shelf($paints);
        }

        return $this->shelf;
    }

    /** It has changed: the shelf is read anew when it is next asked for. */
    public function forget(): void
    {
        $this->shelf = null;
    }

    /**
     * Puts products on the shelf as they are given: changed where their id is known, new where it is not. What is mixed
     * from one that changed is worked out anew.
     *
     * @param  list<Paint>  $products
     * @return array{int, int} how many are new, how many were changed
     */
    public function put(array $products): array
    {
        $counts = DB::transaction(function () use ($products): array {
            $added = $changed = 0;
            foreach (self::withSpectra($products) as $product) {
                $known = Product::query()->find($product->id);
                if ($known === null) {
                    $this->addMissing([$product]);
                    $added++;
                } elseif ($known->body !== $product->toArray()) {
                    $recipes = Remade::after(Paint::fromArray($known->body), $product, $this->shelf());
                    foreach ([$product, ...$recipes] as $paint) {
                        Product::query()->whereKey($paint->id)->firstOrFail()->update(['body' => $paint->toArray()]);
                    }
                    $this->forget();
                    $changed++;
                }
            }
            // What was kept of answers rests on the shelf as it was.
            $this->settings->set('shelf', ['revision' => (int) ($this->settings->value('shelf')['revision'] ?? 0) + 1]);

            return [$added, $changed];
        });
        $this->shelf = null;

        return $counts;
    }

    /**
     * Reads the shelf and puts what comes of it back, in one transaction: two hands at one jar do not lose each other's ml.
     *
     * @param  callable(Shelf): list<Paint>  $make
     */
    public function change(callable $make): void
    {
        DB::transaction(function () use ($make): void {
            $this->forget();
            $this->put($make($this->shelf()));
        });
    }

    /**
     * With their spectra: recovered once, when they are put on the shelf, and kept.
     *
     * @param  list<Paint>  $products
     * @return list<Paint>
     */
    private static function withSpectra(array $products): array
    {
        return array_map(static fn (Paint $p): Paint => $p->withSpectrum(), $products);
    }

    /**
     * Puts products on the shelf that are not there yet, by id.
     *
     * @param  list<Paint>  $products
     */
    public function addMissing(array $products, bool $demo = false): void
    {
        $position = (int) Product::query()->max('position');
        foreach (self::withSpectra($products) as $product) {
            if (Product::query()->find($product->id) === null) {
                Product::query()->create(['id' => $product->id, 'position' => ++$position, 'body' => $product->toArray(), 'demo' => $demo]);
            }
        }
        $this->shelf = null;
    }
}
