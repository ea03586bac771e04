<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Material\Product as Paint;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Mixing\Remade;
use App\Models\Change;
use App\Models\Product;
use Illuminate\Support\Facades\DB;

/** The shelf, as core sees it. */
final class ShelfRepository
{
    private ?Shelf $shelf = null;

    public function __construct(private readonly Settings $settings, private readonly Ledger $ledger)
    {
    }

    public function shelf(): Shelf
    {
        /** @var list<Product> $rows */
        $rows = $this->shelf === null ? Product::query()->orderBy('position')->orderBy('id')->get()->all() : [];

        if ($this->shelf === null) {
            $paints = array_map(static fn (Product $p): Paint => Paint::fromArray($p->body), $rows);
            $this->shelf = new Shelf($paints, (new Grits($this->settings))->owned());
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
     * from one that changed is worked out anew. It stands in the ledger under a title, and can be taken back.
     *
     * @param  list<Paint>  $products
     * @return array{int, int} how many are new, how many were changed
     */
    public function put(array $products, ?string $title = null): array
    {
        $counts = DB::transaction(function () use ($products, $title): array {
            $edits = new ShelfEdits;
            $added = $changed = 0;
            foreach (self::withSpectra($products) as $product) {
                $known = Product::query()->find($product->id);
                if ($known === null) {
                    $this->addMissing([$product]);
                    $edits->added($product);
                    $added++;
                } elseif (($was = Paint::fromArray($known->body))->toArray() !== $product->toArray()) {
                    $recipes = Remade::after($was, $product, $this->shelf());
                    foreach ([$product, ...$recipes] as $paint) {
                        $row = Product::query()->whereKey($paint->id)->firstOrFail();
                        $edits->changed($paint->id, Paint::fromArray($row->body)->toArray(), $paint->toArray());
                        $row->update(['body' => $paint->toArray()]);
                    }
                    $this->forget();
                    $changed++;
                }
            }
            if ($edits->edits !== []) {
                $this->ledger->write(Ledger::SHELF, $title ?? $edits->title(), $edits->edits, $edits->inverse);
            }
            $this->touched();

            return [$added, $changed];
        });
        $this->shelf = null;

        return $counts;
    }

    /**
     * Takes a change of the shelf back, field by field. Throws BadDocument where something later changed the same, or a
     * build uses what would go.
     */
    public function undo(string $changeId): Change
    {
        return DB::transaction(function () use ($changeId): Change {
            $change = $this->ledger->undoable($changeId);
            $done = ShelfEdits::apply(FieldEdit::listFrom($change->inverse));
            $this->touched();
            $this->forget();

            return $this->ledger->write(Ledger::SHELF, 'Take back: '.$change->title, $done->edits, $done->inverse, $change->id);
        });
    }

    /** What was kept of answers rests on the shelf as it was. */
    private function touched(): void
    {
        $this->settings->change('shelf', static fn (array $shelf): array => ['revision' => (is_int($shelf['revision'] ?? null) ? $shelf['revision'] : 0) + 1]);
    }

    /**
     * Reads the shelf and puts what comes of it back, in one transaction: two hands at one jar do not lose each other's ml.
     *
     * @param  callable(Shelf): list<Paint>  $make
     * @return array{int, int} how many are new, how many were changed
     */
    public function change(callable $make, ?string $title = null): array
    {
        return DB::transaction(function () use ($make, $title): array {
            $this->forget();

            return $this->put($make($this->shelf()), $title);
        });
    }

    /**
     * @param  list<Paint>  $products
     * @return array{int, int} how many would be new, how many would be changed
     */
    public function wouldPut(array $products): array
    {
        $known = array_column($this->shelf()->products, null, 'id');
        $new = array_filter($products, static fn (Paint $p): bool => ! isset($known[$p->id]));
        $changed = array_filter(self::withSpectra($products), static fn (Paint $p): bool => isset($known[$p->id]) && $known[$p->id]->toArray() !== $p->toArray());

        return [count($new), count($changed)];
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
