<?php

declare(strict_types=1);

namespace App\Build;

use RuntimeException;

/** Somebody was quicker: what is there instead, so that the user can see it. */
final class Conflict extends RuntimeException
{
    /** @param  array<string, mixed>  $there */
    public function __construct(string $message, public readonly array $there)
    {
        parent::__construct($message);
    }
}
