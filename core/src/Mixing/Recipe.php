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
        if (array_sum(array_map(static fn (Part $p): float => $p->base === Base::PercentOfWhole ? $p->amount : 0.0, $parts)) >= 100) {
            throw new InvalidArgumentException('what is stated of the whole leaves nothing for the paint');
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

        // What is stated of the whole counts itself: 60 % thinner leave 40 % for the rest. What is stated of the thinned mix then knows that thinner too.
        $whole = array_sum(array_map(static fn (Part $p): float => $p->base === Base::PercentOfWhole ? $p->amount / 100 : 0.0, $this->parts));
        $thins = array_sum(array_map(static fn (Part $p): float => $p->base === Base::PercentOfWhole && $p->stuff->isThinner() ? $p->amount / 100 : 0.0, $this->parts));
        $ofPaint = array_sum(array_map(static fn (Part $p): float => match ($p->base) {
            Base::PercentOfPaint => $paint * $p->amount / 100,
            Base::ToPaint => $paint / $p->amount,
            default => 0.0,
        }, $this->parts));
        $ofMix = array_sum(array_map(static fn (Part $p): float => match ($p->base) {
            Base::PercentOfMix => $p->amount / 100,
            Base::ToMix => 1 / $p->amount,
            default => 0.0,
        }, $this->parts));
        // all = mix + of paint + of mix x (mix + thins x all) + whole x all
        $all = ($mix * (1 + $ofMix) + $ofPaint) / max(1e-9, 1 - $whole - $ofMix * $thins);
        $thinned = $mix + $thins * $all;

        return array_map(static fn (Part $p): float => match ($p->base) {
            Base::Parts => $p->amount,
            Base::PercentOfMix => $thinned * $p->amount / 100,
            Base::PercentOfPaint => $paint * $p->amount / 100,
            Base::PercentOfWhole => $all * $p->amount / 100,
            Base::ToPaint => $paint / $p->amount,
            Base::ToMix => $thinned / $p->amount,
        }, $this->parts);
    }

    /**
     * The least whole numbers its parts stand in, within 2 % of each: "5 : 5 : 2".
     *
     * @return list<int>|null null where no numbers up to 24 do
     */
    public function wholeRatio(): ?array
    {
        $shares = $this->shares();
        $least = min($shares);
        for ($n = 1; $n <= 24; $n++) {
            $numbers = array_map(static fn (float $s): float => $n * $s / $least, $shares);
            $off = max(array_map(static fn (float $x): float => abs($x - round($x)) / $x, $numbers));
            if ($off <= 0.02 && max($numbers) <= 100) {
                return array_map(static fn (float $x): int => (int) round($x), $numbers);
            }
        }

        return null;
    }

    /** "5 : 5 : 2; hardener 16.7 % of the whole, 20 % of the thinned mix": its ratio, and each share both ways. */
    public function inWords(): string
    {
        $ratio = count($this->parts) < 2 ? null : $this->wholeRatio();
        $shares = [];
        foreach ($this->sharesBothWays() as $i => [$all, $added]) {
            $name = $this->parts[$i]->name;
            if ($added !== null) {
                $shares[] = sprintf('%s %g %% of the whole, %g %% of the thinned mix', $name, round(100 * $all, 1), round(100 * $added, 1));
            } elseif ($this->parts[$i]->stuff->isThinner()) {
                $shares[] = sprintf('%s %g %% of the whole', $name, round(100 * $all, 1));
            }
        }

        return implode('; ', array_filter([$ratio === null ? '' : implode(' : ', $ratio), implode(', ', $shares)], static fn (string $s): bool => $s !== ''));
    }

    /**
     * The share of each part both ways: of the whole, and of what it is added to where that is less.
     *
     * @return non-empty-list<array{float, float|null}> 0 to 1; null where it is what the rest is added to
     */
    public function sharesBothWays(): array
    {
        $shares = $this->shares();
        $all = array_sum($shares);
        $thinned = 0.0;
        foreach ($shares as $i => $share) {
            $thinned += $this->parts[$i]->stuff === Stuff::Paint || $this->parts[$i]->stuff->isThinner() ? $share : 0;
        }

        return array_map(fn (float $share, Part $p): array => [$share / $all, $p->stuff === Stuff::Hardener || $p->stuff === Stuff::Additive ? $share / $thinned : null], $shares, $this->parts);
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
