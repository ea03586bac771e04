<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Order;

/** One colour of the order, or one that returns: what is sprayed in one stage on all pieces. */
final readonly class Entry
{
    /**
     * @param  string  $paint  what has to be in the gun
     * @param  int  $after  entries that have to be sprayed before it, as bits
     */
    public function __construct(public string $id, public string $paint, public int $after = 0)
    {
    }
}
