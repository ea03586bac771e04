<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Work\Strength;

/** What stands where it does for reasons of its own: a cup mixed, a gun cleaned. Nothing has to be done before it. */
final readonly class Said implements Standing
{
    /** @param  non-empty-list<string>  $sentences  what says most first */
    public function __construct(private string $rule, private array $sentences)
    {
    }

    public function reasons(string $key): array
    {
        return array_map(fn (string $why): Constraint => new Constraint('', $key, Strength::Must, $this->rule, $why), $this->sentences);
    }

    public function waitsOn(string $key): array
    {
        return [];
    }

    public function shutBy(string $key): ?string
    {
        return null;
    }
}
