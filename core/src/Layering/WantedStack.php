<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Work\Operation;

/** The layers one area shall get, while they are put together; the user's pins have the last word. */
final class WantedStack
{
    /** @var list<Wanted> */
    private array $wanted = [];

    public function __construct(private readonly Pins $pins, private readonly Area $area, private readonly string $pieceId, private readonly Shelf $shelf)
    {
    }

    public function add(Operation $operation, string $purpose, Product $product, int $coats, CoatKind $first, CoatKind $rest): void
    {
        if ($this->pin(static fn (Pin $p): ?bool => $p->present, $operation, $purpose) === false) {
            return;
        }
        $pinned = $this->pin(static fn (Pin $p): ?string => $p->product, $operation, $purpose);
        $kind = $this->pin(static fn (Pin $p): ?CoatKind => $p->coatKind, $operation, $purpose);
        $below = $this->wanted[count($this->wanted) - 1] ?? null;
        // What lies loose in recesses is fixed by a mist before anything wets it.
        $first = $below?->operation->isWash() === true && $operation->isVarnish() ? CoatKind::Mist : $first;
        $wanted = new Wanted($operation, $purpose, $this->shelf->find($pinned) ?? $product, $coats, $kind ?? $first, $kind ?? $rest);
        $top = $this->topRow();
        if ($kind === null && $top !== null) {
            $wanted = LayerPlanner::mistIfAsked($wanted, $top);
        }
        $pinnedCoats = $this->pin(static fn (Pin $p): ?int => $p->coats, $operation, $purpose);
        $this->wanted[] = new Wanted($operation, $purpose, $wanted->product, $pinnedCoats ?? $wanted->coats, $wanted->first, $wanted->rest);
    }

    public function decal(): void
    {
        $this->wanted[] = new Wanted(Operation::Decal, 'all', null, 1, CoatKind::Light, CoatKind::Light);
    }

    public function plain(Operation $operation, string $purpose): void
    {
        $this->wanted[] = new Wanted($operation, $purpose, null, 1, CoatKind::Light, CoatKind::Light);
    }

    /** @return list<Wanted> */
    public function wanted(): array
    {
        return $this->wanted;
    }

    /**
     * Rows of the attack table the next coat lands on: the top layer, and decals it also wets.
     *
     * @return list<Below>
     */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->wanted as $layer) {
            $rows[] = $layer->product === null ? Below::Decal : $layer->product->family->below();
        }

        return $rows === [] ? [] : array_values(array_unique(array_slice($rows, -2), SORT_REGULAR));
    }

    public function isVarnished(): bool
    {
        foreach ($this->wanted as $layer) {
            if ($layer->operation->isVarnish() || $layer->operation === Operation::Decal) {
                return true;
            }
        }

        return false;
    }

    /** Swatch of the last coat that covers: what the next colour has to hide. Pre-shading is there to show. */
    public function ground(): ?string
    {
        foreach (array_reverse($this->wanted) as $layer) {
            if ($layer->operation !== Operation::Preshade && $layer->product?->swatch !== null) {
                return $layer->product->swatch;
            }
        }

        return null;
    }

    public function topSheen(): ?Sheen
    {
        $top = $this->wanted[count($this->wanted) - 1] ?? null;

        return $top?->product?->sheen;
    }

    public function topIsWash(): bool
    {
        return ($this->wanted[count($this->wanted) - 1] ?? null)?->operation->isWash() === true;
    }

    /** The top is a wash or a decal: it wants something over it. */
    public function topIsOpen(): bool
    {
        $top = $this->wanted[count($this->wanted) - 1] ?? null;

        return $top !== null && ($top->operation === Operation::Decal || $top->operation->isWash());
    }

    private function topRow(): ?Below
    {
        $top = $this->wanted[count($this->wanted) - 1] ?? null;

        return match (true) {
            $top === null => null,
            $top->product === null => Below::Decal,
            default => $top->product->family->below(),
        };
    }

    /**
     * @template T
     *
     * @param  callable(Pin): (T|null)  $field
     * @return T|null
     */
    private function pin(callable $field, Operation $operation, string $purpose): mixed
    {
        return $this->pins->find($field, $operation, $purpose, $this->area->id, $this->pieceId);
    }
}
