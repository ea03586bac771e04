<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

use RuntimeException;

/** A phrase that cannot be understood: what is wrong with it, and what would be right. */
final class NotRead extends RuntimeException
{
    public function __construct(public readonly string $wrong, public readonly string $right)
    {
        parent::__construct($wrong.'; '.$right);
    }
}
