<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Material\Base;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Stuff;
use InvalidArgumentException;

/** Parts of any number of paints, with thinner, additives and hardener: from any one known amount all others follow (handbook 4, Parts). */
final readonly class Recipe
{
    /**
     * @param  non-empty-list<Part>  $parts
     *
     * @throws InvalidArgumentException where no part is counted in parts, or an amount is not above 0
     */
    public function __construct(public array $parts)
    {
        foreach ($parts as $part) {
            if ($part->amount <= 0 || ! is_finite($part->amount)) {
                throw new InvalidArgumentException("{$part->name}: {$part->amount} is no amount");
            }
        }
        if (array_filter($parts, static fn (Part $p): bool => $p->base === Base::Parts) === []) {
            throw new InvalidArgumentException('nothing is counted in parts');
        }
    }

    /** What somebody keeps, as a sum. */
    public static function kept(KeptRecipe $kept): self
    {
        return new self($kept->parts);
    }

    /**
     * Volumes of all for one unit of part, in the order of the recipe: paints and thinners by their parts, the rest of what it is stated of.
     *
     * @return non-empty-list<float>
     */
    public function shares(): array
    {
        $paint = $mix = 0.0;
        foreach ($this->parts as $part) {
            $mix += $part->base === Base::Parts ? $part->amount : 0;
            $paint += $part->base === Base::Parts && $part->stuff === Stuff::Paint ? $part->amount : 0;
        }

        return array_map(static fn (Part $p): float => match ($p->base) {
            Base::Parts => $p->amount,
            Base::PercentOfMix => $mix * $p->amount / 100,
            Base::PercentOfPaint => $paint * $p->amount / 100,
            Base::ToPaint => $paint / $p->amount,
            Base::ToMix => $mix / $p->amount,
        }, $this->parts);
    }

    /** ml of thinner to one of paint; 0 where there is none. */
    public function thinnerPerPaint(): float
    {
        $paint = $thinner = 0.0;
        foreach ($this->shares() as $i => $share) {
            $paint += $this->parts[$i]->stuff === Stuff::Paint ? $share : 0;
            $thinner += $this->parts[$i]->stuff->isThinner() ? $share : 0;
        }

        return $paint > 0 ? $thinner / $paint : 0.0;
    }

    /** @param  float  $ml  all together, above 0 */
    public function total(float $ml): Batch
    {
        $shares = $this->shares();

        return $this->scaled($ml / array_sum($shares));
    }

    /**
     * @param  int  $which  place of the part in the recipe
     * @param  float  $ml  of it, above 0: measured, or left in a jar
     */
    public function component(int $which, float $ml): Batch
    {
        return $this->scaled($ml / $this->shares()[$which]);
    }

    /** All the paints of the recipe together are so many ml. */
    public function paint(float $ml): Batch
    {
        $paint = 0.0;
        foreach ($this->shares() as $i => $share) {
            $paint += $this->parts[$i]->stuff === Stuff::Paint ? $share : 0;
        }

        return $this->scaled($ml / $paint);
    }

    private function scaled(float $by): Batch
    {
        return new Batch($this, array_map(static fn (float $s): float => $s * $by, $this->shares()));
    }
}
