<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Material\Pack;

/** The cheapest set of whole packs that covers a need; of equally cheap ones the one with least left over, then with fewest packs. */
final readonly class Packs
{
    /** Steps the need is counted in at the most: finer than a tenth of a ml up to a litre and a half. */
    private const MOST_STEPS = 200_000;

    /** @param  list<array{Pack, int}>  $packs  which, and how many of it; largest first */
    private function __construct(public array $packs, public float $ml, public float $price)
    {
    }

    /**
     * Exact, by the least price of every amount that whole packs add up to, smallest amount first.
     *
     * @param  float  $ml  what is needed, ml, above 0
     * @param  list<Pack>  $sold
     * @return self|null null where nothing is sold
     */
    public static function cheapest(float $ml, array $sold): ?self
    {
        if ($sold === [] || $ml <= 0) {
            return null;
        }
        $step = self::step($ml, $sold);
        $need = (int) ceil($ml / $step - 1e-9);
        $sizes = array_map(static fn (Pack $p): int => max(1, (int) round($p->ml / $step)), $sold);
        $cents = array_map(static fn (Pack $p): int => (int) round($p->price * 100), $sold);
        $top = $need + max($sizes) - 1;
        /** @var array<int, array{int, int, int}> $best price in cents, packs, last pack added; by amount in steps */
        $best = [0 => [0, 0, -1]];
        $found = null;
        for ($amount = 1; $amount <= $top; $amount++) {
            foreach ($sizes as $i => $size) {
                $from = $best[$amount - $size] ?? null;
                // A set that covers the need already only gets dearer.
                if ($from === null || $amount - $size >= $need) {
                    continue;
                }
                $try = [$from[0] + $cents[$i], $from[1] + 1];
                if (! isset($best[$amount]) || $try < [$best[$amount][0], $best[$amount][1]]) {
                    $best[$amount] = [...$try, $i];
                }
            }
            if ($amount >= $need && isset($best[$amount]) && ($found === null || $best[$amount][0] < $best[$found][0])) {
                $found = $amount;
            }
        }

        return $found === null ? null : self::of($best, $found, $sizes, $sold);
    }

    /** "1 x 40 ml, 2 x 10 ml" */
    public function words(): string
    {
        return implode(', ', array_map(static fn (array $p): string => sprintf('%d × %g ml', $p[1], $p[0]->ml), $this->packs));
    }

    /**
     * @param  array<int, array{int, int, int}>  $best
     * @param  list<int>  $sizes
     * @param  non-empty-list<Pack>  $sold
     */
    private static function of(array $best, int $amount, array $sizes, array $sold): self
    {
        $count = [];
        while ($amount > 0) {
            $i = $best[$amount][2];
            $count[$i] = ($count[$i] ?? 0) + 1;
            $amount -= $sizes[$i];
        }
        $packs = array_map(static fn (int $i, int $n): array => [$sold[$i], $n], array_keys($count), array_values($count));
        usort($packs, static fn (array $a, array $b): int => $b[0]->ml <=> $a[0]->ml);

        return new self($packs, array_sum(array_map(static fn (array $p): float => $p[0]->ml * $p[1], $packs)), array_sum(array_map(static fn (array $p): float => $p[0]->price * $p[1], $packs)));
    }

    /**
     * The coarsest step all sizes are whole numbers of, in hundredths of a ml.
     *
     * @param  non-empty-list<Pack>  $sold
     */
    private static function step(float $ml, array $sold): float
    {
        $step = 0;
        foreach ($sold as $pack) {
            [$a, $b] = [(int) round($pack->ml * 100), $step];
            while ($b !== 0) {
                [$a, $b] = [$b, $a % $b];
            }
            $step = $a;
        }

        return max(max(1, $step) / 100, $ml / self::MOST_STEPS);
    }
}
