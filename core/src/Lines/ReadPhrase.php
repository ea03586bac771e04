<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

/** A phrase and what it was read as. */
final readonly class ReadPhrase
{
    public function __construct(public int $start, public int $length, public string $meaning)
    {
    }
}
