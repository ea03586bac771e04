<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** The user's "this before that", by step keys. */
final readonly class Order
{
    public function __construct(public string $id, public string $first, public string $then)
    {
    }

    public static function read(Reader $in): self
    {
        $order = new self($in->id('id'), $in->text('first', 200), $in->text('then', 200));
        $in->refuseTheRest();

        return $order;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'first' => $this->first, 'then' => $this->then];
    }
}
