<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** A question on which good modellers disagree, with one line for each position. */
final readonly class HouseQuestion
{
    /**
     * @param  list<HousePosition>  $positions  the default first
     * @param  string  $changes  what it changes in a plan
     */
    public function __construct(public string $id, public string $title, public string $changes, public array $positions)
    {
    }
}
