<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

/** One session on the way to the show, and what is planned for it. */
final readonly class Column
{
    /** @param  list<Block>  $blocks  by time */
    public function __construct(public int $fromEpoch, public int $untilEpoch, public array $blocks)
    {
    }

    /** Minutes hands are at work. */
    public function worked(): float
    {
        return array_sum(array_map(static fn (Block $b): float => $b->minutes, $this->blocks));
    }
}
