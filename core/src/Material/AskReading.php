<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

use AmberStep\Core\Document\Reader;

/** One way to read a figure or a name, and the part it makes. */
final readonly class AskReading
{
    public function __construct(public string $words, public ?string $product, public Part $part)
    {
    }

    public static function read(Reader $in): self
    {
        $reading = new self($in->text('words', 200), $in->optionalId('product'), new Part($in->text('name', 120), $in->oneOf('stuff', Stuff::class, Stuff::Paint), $in->number('amount', 0.001, 1000), $in->oneOf('base', Base::class, Base::Parts)));
        $in->refuseTheRest();

        return $reading;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['words' => $this->words, 'product' => $this->product, 'name' => $this->part->name, 'stuff' => $this->part->stuff->value, 'amount' => $this->part->amount, 'base' => $this->part->base->value];
    }
}
