<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Material\Vessel;

/** One tone of a pattern, and what it takes for all of the model it goes on. */
final readonly class Tone
{
    /**
     * @param  float  $cm2  on the pieces of the pattern
     * @param  list<string>  $pieces  names of all it goes on
     * @param  list<JarNeed>  $jars  what it comes out of
     */
    public function __construct(public ColourNeed $need, public float $cm2, public array $pieces, public array $jars)
    {
    }

    /** Neat paint to mix, ml: what it needs, or as much as has a whole drop of each jar. */
    public function mixMl(): float
    {
        $all = array_sum(array_map(static fn (JarNeed $j): float => $j->ml, $this->jars));
        $least = array_map(static fn (JarNeed $j): float => $all / max(1e-9, $j->ml) * ($j->product->dropsPerMl === null ? Vessel::Dropper->mlPerDrop() : 1 / $j->product->dropsPerMl), $this->jars);

        return count($this->jars) < 2 ? $this->need->ml : max($this->need->ml, ...$least);
    }
}
