<?php

declare(strict_types=1);

namespace AmberStep\Core\Section\Stages;

use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Log\Layer;

/** When a colour goes on which plates, while it is gathered. */
final class Sprayed
{
    /** @var array<string, array{int, int, int}> first and last coat and how many, by plate */
    public array $plates = [];

    /** @param  string|null  $sheen  of a varnish */
    public function __construct(public readonly Colour $colour, public readonly bool $inside, public readonly ?string $sheen = null)
    {
    }

    public function add(string $plate, Layer $layer): void
    {
        [$first, $last, $coats] = $this->plates[$plate] ?? [PHP_INT_MAX, 0, 0];
        $this->plates[$plate] = [min($first, $layer->firstCoat()->atEpoch), max($last, $layer->lastCoat()->atEpoch), max($coats, count($layer->coats))];
    }

    public function first(): int
    {
        return $this->plates === [] ? 0 : min(array_column($this->plates, 0));
    }

    public function last(): int
    {
        return $this->plates === [] ? 0 : max(array_column($this->plates, 1));
    }

    public function coats(): int
    {
        return $this->plates === [] ? 0 : max(array_column($this->plates, 2));
    }
}
