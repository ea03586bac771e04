<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

/** What was measured for a template, all in range. */
final readonly class Measures
{
    /**
     * @param  array<string, float|string>  $values  by field
     * @param  float  $grow  mm, to the outside
     */
    public function __construct(private array $values, public float $grow)
    {
    }

    /** mm, degrees or a ratio. */
    public function of(string $field): float
    {
        return (float) $this->values[$field];
    }

    public function count(string $field): int
    {
        return (int) $this->values[$field];
    }

    public function text(string $field): string
    {
        return (string) $this->values[$field];
    }
}
