<?php

declare(strict_types=1);

namespace App\Csv;

use AmberStep\Core\Material\Product;

/** What a table of paints says, before any of it is taken in. */
final readonly class TakenTable
{
    /**
     * @param  list<Product>  $products  as they will be
     * @param  list<array{name: string, fields: list<string>}>  $emptied  what held something, and will not
     * @param  list<string>  $unknown  columns that are none of ours: they are kept out
     */
    public function __construct(public array $products, public array $emptied, public array $unknown)
    {
    }
}
