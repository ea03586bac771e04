<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

/** A phrase that was not read: where it stands, what is wrong, what would be right. */
final readonly class LineProblem
{
    public function __construct(public int $start, public int $length, public string $wrong, public string $right)
    {
    }

    public function sentence(): string
    {
        return ucfirst($this->wrong).': '.$this->right.'.';
    }
}
