<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

use InvalidArgumentException;

/** Input that cannot be understood: every problem found, each with where it is and what would be right. */
final class BadDocument extends InvalidArgumentException
{
    /** @param  non-empty-list<Problem>  $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(implode("\n", array_map(static fn (Problem $p): string => $p->sentence(), $problems)));
    }

    public static function at(string $path, string $wrong, string $right): self
    {
        return new self([new Problem($path, $wrong, $right)]);
    }
}
