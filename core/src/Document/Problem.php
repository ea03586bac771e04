<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

/** One thing wrong in a document: where, what, and what would be right. */
final readonly class Problem
{
    public function __construct(public string $path, public string $wrong, public string $right)
    {
    }

    public function sentence(): string
    {
        return sprintf('%s: %s; %s', $this->path === '' ? 'the document' : $this->path, $this->wrong, $this->right);
    }
}
