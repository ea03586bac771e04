<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

/** Whole drops: among totals from the wanted one to 20 % over it the least error, then the fewest (handbook 4, Parts). */
final readonly class Drops
{
    private const OVER = 1.2;

    /** More than this nobody counts. */
    public const MOST = 400;

    /**
     * @param  non-empty-list<int>  $counts
     * @param  float  $error  the furthest that any part's share is off, of what it should be
     */
    private function __construct(public array $counts, public float $error)
    {
    }

    /**
     * @param  non-empty-list<float>  $parts  in drops against each other, above 0
     * @param  int  $wanted  drops in all, 1 to MOST
     */
    public static function of(array $parts, int $wanted): self
    {
        $sum = array_sum($parts);
        $best = null;
        for ($total = max(count($parts), $wanted); $total <= max(count($parts), (int) floor($wanted * self::OVER)); $total++) {
            $ideal = array_map(static fn (float $p): float => $total * $p / $sum, $parts);
            foreach (self::nearest($ideal, $total) as $counts) {
                $error = max(array_map(static fn (int $n, float $i): float => abs($n / $i - 1), $counts, $ideal));
                if ($best === null || $error < $best->error - 1e-12) {
                    $best = new self($counts, $error);
                }
            }
        }

        return $best ?? new self(array_fill(0, count($parts), 1), 0.0);
    }

    public function total(): int
    {
        return array_sum($this->counts);
    }

    /**
     * Each part rounded down or up, at least one of each, so that they make the total.
     *
     * @param  non-empty-list<float>  $ideal  drops of each, not whole
     * @return iterable<non-empty-list<int>>
     */
    private static function nearest(array $ideal, int $total): iterable
    {
        $low = array_map(static fn (float $i): int => max(1, (int) floor($i + 1e-9)), $ideal);
        for ($up = 0; $up < 1 << count($ideal); $up++) {
            $counts = [];
            foreach ($low as $i => $n) {
                $counts[] = $n + (($up >> $i) & 1);
            }
            if (array_sum($counts) === $total) {
                yield $counts;
            }
        }
        // Where one drop of the least is already too much, the most gives way.
        if (array_sum($low) > $total) {
            $most = (int) array_search(max($low), $low, true);
            $less = max(1, $low[$most] - (array_sum($low) - $total));
            yield array_map(static fn (int $n, int $i): int => $i === $most ? $less : $n, $low, array_keys($low));
        }
    }
}
