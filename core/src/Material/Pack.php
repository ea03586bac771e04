<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

use AmberStep\Core\Document\Reader;

/** One size a product is sold in, and what it costs. */
final readonly class Pack
{
    /** @param  float  $ml  0.1 to 100 000 */
    public function __construct(public float $ml, public float $price)
    {
    }

    public static function read(Reader $in): self
    {
        $pack = new self($in->number('ml', 0.1, 100000), $in->number('price', 0, 1000000));
        $in->refuseTheRest();

        return $pack;
    }

    /** Price of 100 ml: 10 ml at 5.20 is 52.00 (handbook 4, Tally). */
    public function per100Ml(): float
    {
        return $this->price / $this->ml * 100;
    }

    /** @return array{ml: float, price: float} */
    public function toArray(): array
    {
        return ['ml' => $this->ml, 'price' => $this->price];
    }
}
