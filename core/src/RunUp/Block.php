<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Material\Product;

/** What is done in a session on one build, with one paint or without. */
final readonly class Block
{
    /**
     * @param  Product|null  $paint  in the gun; null: none
     * @param  float  $minutes  hands-on
     * @param  list<string>  $titles  of its steps, each said once
     * @param  list<string>  $pieces  names
     * @param  list<string>  $steps  keys of those of the build, without what is done at the gun
     */
    public function __construct(public string $build, public ?Product $paint, public int $fromEpoch, public int $untilEpoch, public float $minutes, public array $titles, public array $pieces, public array $steps)
    {
    }

    /**
     * @param  list<string>  $titles
     * @param  list<string>  $pieces
     * @param  list<string>  $steps
     */
    public function with(int $untilEpoch, float $minutes, array $titles, array $pieces, array $steps): self
    {
        return new self($this->build, $this->paint, $this->fromEpoch, $untilEpoch, $this->minutes + $minutes, array_values(array_unique([...$this->titles, ...$titles])), array_values(array_unique([...$this->pieces, ...$pieces])), [...$this->steps, ...$steps]);
    }
}
