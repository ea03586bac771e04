<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Material\Part;

/** A recipe at a size: ml, drops and grams side by side, and the marks to fill the cup to. */
final readonly class Batch
{
    /** Hands-on minutes of stirring and mixing (handbook 2). */
    public const MINUTES = 5;

    /** @param  non-empty-list<float>  $ml  in the order of the recipe */
    public function __construct(public Recipe $recipe, public array $ml)
    {
    }

    public function totalMl(): float
    {
        return array_sum($this->ml);
    }

    /** @return non-empty-list<float> */
    public function grams(): array
    {
        return array_map(fn (float $ml, Part $p): float => $ml * $p->stuff->density(), $this->ml, $this->recipe->parts);
    }

    /** @return non-empty-list<float> not whole: Drops rounds them together */
    public function drops(): array
    {
        return array_map(static fn (float $ml, Part $p): float => $ml / $p->mlPerDrop(), $this->ml, $this->recipe->parts);
    }

    /**
     * What is poured after what, each with the mark it fills the cup to.
     *
     * @return list<array{int, float}> place in the recipe, ml in the cup once it is in
     */
    public function pouring(bool $thinnerFirst): array
    {
        $order = array_keys($this->ml);
        usort($order, fn (int $a, int $b): int => [$this->recipe->parts[$a]->stuff->order($thinnerFirst), $a] <=> [$this->recipe->parts[$b]->stuff->order($thinnerFirst), $b]);
        $marks = [];
        $to = 0.0;
        foreach ($order as $i) {
            $to += $this->ml[$i];
            $marks[] = [$i, $to];
        }

        return $marks;
    }

    /** How many cups of so many ml it takes, each filled alike. */
    public function cups(float $cupMl): int
    {
        return max(1, (int) ceil($this->totalMl() / $cupMl - 1e-9));
    }
}
