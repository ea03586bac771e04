<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Material\WashFigures;
use AmberStep\Core\Work\Operation;

/** Coats of one product laid for one purpose, one on the other, or a decal. Immutable. */
final readonly class Layer
{
    /** Same mark, same clocks: lets waits be worked out once for areas that were sprayed together. */
    public string $mark;

    /**
     * @param  non-empty-list<Coat>  $coats
     * @param  string|null  $mark  known where one coat was added to a layer
     */
    public function __construct(public Operation $operation, public string $purpose, public ?Product $product, public array $coats, ?string $mark = null)
    {
        $this->mark = $mark ?? array_reduce($coats, self::marked(...), ($operation->isWash() ? $operation->value : '').($product === null ? '-' : $product->id.$product->family->value));
    }

    private static function marked(string $mark, Coat $coat): string
    {
        return $mark.'|'.$coat->atEpoch.':'.$coat->filmMicrons;
    }

    public function takes(Operation $operation, string $purpose, Product $product): bool
    {
        return $this->operation === $operation && $this->purpose === $purpose && $this->product?->id === $product->id && $this->product->family === $product->family;
    }

    public function with(Coat $coat): self
    {
        return new self($this->operation, $this->purpose, $this->product, [...$this->coats, $coat], self::marked($this->mark, $coat));
    }

    public function lastCoat(): Coat
    {
        return $this->coats[count($this->coats) - 1];
    }

    public function firstCoat(): Coat
    {
        return $this->coats[0];
    }

    /** µm of dry film, all coats. */
    public function filmMicrons(): float
    {
        return array_sum(array_map(static fn (Coat $c): float => $c->filmMicrons, $this->coats));
    }

    /** The row of the attack table it is to the next wet coat. */
    public function below(): Below
    {
        return $this->product === null ? Below::Decal : $this->product->family->below();
    }

    public function isDecal(): bool
    {
        return $this->product === null;
    }

    /** Its own figures where it is a wash or filter, and no coat. */
    public function wash(): ?WashFigures
    {
        return $this->product !== null && $this->operation->isWash() ? WashFigures::of($this->operation === Operation::Filter, $this->product->family) : null;
    }

    /** How it shines: a varnish or paint by its product, unnamed paint as satin, a decal not at all. */
    public function sheen(): Sheen
    {
        return $this->product->sheen ?? Sheen::Satin;
    }

    public function isPlanned(): bool
    {
        return str_starts_with($this->firstCoat()->eventId, 'plan:');
    }

    /** The coats of it that are really there, where more are planned on top; null where that is none or all. */
    public function asLaid(): ?self
    {
        $laid = array_values(array_filter($this->coats, static fn (Coat $c): bool => ! str_starts_with($c->eventId, 'plan:')));

        return $laid === [] || count($laid) === count($this->coats) ? null : new self($this->operation, $this->purpose, $this->product, $laid);
    }

    public function word(): string
    {
        return $this->product === null ? 'decal' : $this->product->name;
    }
}
