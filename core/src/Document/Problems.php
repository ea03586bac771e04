<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

/** Collects what is wrong while a document is read, so that the user is told everything at once. */
final class Problems
{
    /** More than this helps nobody. */
    private const MOST = 50;

    /** @var list<Problem> */
    private array $found = [];

    public function add(string $path, string $wrong, string $right): void
    {
        if (count($this->found) < self::MOST) {
            $this->found[] = new Problem($path, $wrong, $right);
        }
    }

    /** @throws BadDocument when anything was wrong */
    public function throwIfAny(): void
    {
        if ($this->found !== []) {
            throw new BadDocument($this->found);
        }
    }
}
