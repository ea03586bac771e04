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
     * @param  Opens|null  $opens  what let the first of these go last; null: nothing held it
     * @param  list<string>  $putOffs  what the user said that puts these off, by id
     */
    public function __construct(public string $build, public ?Product $paint, public int $fromEpoch, public int $untilEpoch, public float $minutes, public array $titles, public array $pieces, public array $steps, public ?Opens $opens = null, public array $putOffs = [])
    {
    }

    /** What is done next of it. */
    public function and(self $next): self
    {
        return new self($this->build, $this->paint, $this->fromEpoch, $next->untilEpoch, $this->minutes + $next->minutes, array_values(array_unique([...$this->titles, ...$next->titles])), array_values(array_unique([...$this->pieces, ...$next->pieces])), [...$this->steps, ...$next->steps], $this->steps === [] ? $next->opens : $this->opens, [...$this->putOffs, ...$next->putOffs]);
    }
}
