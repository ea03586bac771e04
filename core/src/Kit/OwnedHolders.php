<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** How many holders of a kind there are for this build. */
final readonly class OwnedHolders
{
    public function __construct(public string $id, public Holder $holder, public int $owned)
    {
    }

    public static function read(Reader $in): self
    {
        $owned = new self($in->id('id'), $in->oneOf('holder', Holder::class, Holder::Clip), $in->whole('owned', 0, 10000, 0));
        $in->refuseTheRest();

        return $owned;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'holder' => $this->holder->value, 'owned' => $this->owned];
    }
}
