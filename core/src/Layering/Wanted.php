<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Work\Operation;

/** A layer the finish wants on one area: so many coats of a product for a purpose. */
final readonly class Wanted
{
    public function __construct(public Operation $operation, public string $purpose, public ?Product $product, public int $coats, public CoatKind $first, public CoatKind $rest)
    {
    }

    public function kind(int $n): CoatKind
    {
        return $n === 1 ? $this->first : $this->rest;
    }
}
