<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** Whole parts of two to four paints that come nearest to a wanted colour (handbook 4, Uses). */
final readonly class Ratio
{
    public const MOST_PARTS = 10;

    /** Up to so many paints every ratio is tried; with more that takes too long for a hand on a button. */
    private const TRIED_WHOLE = 3;

    /** Whole parts that are all tried of four paints. */
    private const FEW_PARTS = 4;

    /** So many of the best are gone on from. */
    private const STARTS = 12;

    /** CIEDE2000 from which it is another colour. */
    private const NOT_REACHED = 6.0;

    /**
     * @param  non-empty-list<int>  $parts
     * @param  float  $differs  CIEDE2000 to the wanted colour
     */
    private function __construct(public array $parts, public float $differs, public Spectrum $spectrum)
    {
    }

    /** How the difference is seen: subtle from 1.5, clear from 3 (handbook 4, Uses). */
    public function says(): string
    {
        return match (true) {
            $this->differs < ToneStep::SUBTLE[0] => 'nobody sees it',
            $this->differs < ToneStep::SUBTLE[1] => 'a subtle difference',
            $this->differs < self::NOT_REACHED => 'a clear difference',
            default => 'not reached with these',
        };
    }

    /**
     * The best few, nearest first; of equal ones the fewest parts. Two and three paints: every ratio is tried. Four: every
     * one of few parts, and from the best of those as far as any single step still comes nearer.
     *
     * @param  non-empty-list<array{Spectrum, float, float}>  $paints  thick film, tinting strength, scattering
     * @return list<self>
     */
    public static function matching(Lab $wanted, array $paints, int $best = 5, int $most = self::MOST_PARTS): array
    {
        // K and S of one part in each band, worked out once: the search only adds.
        $one = array_map(static function (array $paint): array {
            [$spectrum, $strength, $scattering] = $paint;
            $s = $strength * $scattering;

            return [array_map(static fn (float $r): float => $s * KubelkaMunk::ks($r), $spectrum->r), $s];
        }, $paints);
        $found = new RatioSearch($wanted, max($best, self::STARTS));
        $all = count($paints) <= self::TRIED_WHOLE;
        self::walk($one, 0, [], array_fill(0, Observer::BANDS, 0.0), 0.0, $all ? $most : min($most, self::FEW_PARTS), $found->take(...));
        if (! $all) {
            self::climb($found, $one, $most);
        }

        return array_map(static fn (array $f): self => new self($f[0], $f[1], $f[2]), array_slice($found->best, 0, $best));
    }

    /**
     * From each of the best, and from twice it, step by step to a neighbour that is nearer, until none is.
     *
     * @param  list<array{list<float>, float}>  $one
     */
    private static function climb(RatioSearch $found, array $one, int $most): void
    {
        $queue = array_column($found->best, 0);
        foreach ($queue as $parts) {
            foreach ([2, 3] as $times) {
                $queue[] = array_map(static fn (int $n): int => $times * $n, $parts);
            }
        }
        while ($queue !== []) {
            $from = array_pop($queue);
            foreach ($from as $i => $n) {
                foreach ([$n - 1, $n + 1] as $moved) {
                    $next = [...array_slice($from, 0, $i), $moved, ...array_slice($from, $i + 1)];
                    if ($moved < 0 || max($next) > $most || array_sum($next) < 1 || array_reduce($next, self::gcd(...), 0) !== 1) {
                        continue;
                    }
                    if ($found->take($next, ...self::sum($one, $next))) {
                        $queue[] = $next;
                    }
                }
            }
        }
    }

    /**
     * @param  list<array{list<float>, float}>  $one
     * @param  list<int>  $parts
     * @return array{list<float>, float} K in each band, and S
     */
    private static function sum(array $one, array $parts): array
    {
        $k = array_fill(0, Observer::BANDS, 0.0);
        $s = 0.0;
        foreach ($parts as $i => $n) {
            $k = array_map(static fn (float $sum, float $each): float => $sum + $n * $each, $k, $one[$i][0]);
            $s += $n * $one[$i][1];
        }

        return [$k, $s];
    }

    /**
     * @param  list<array{list<float>, float}>  $one
     * @param  list<int>  $parts
     * @param  list<float>  $k
     * @param  callable(non-empty-list<int>, list<float>, float): bool  $take
     */
    private static function walk(array $one, int $at, array $parts, array $k, float $s, int $most, callable $take): void
    {
        if ($at === count($one)) {
            // 4:2 is 2:1: only what has no common divisor is new.
            if ($parts !== [] && array_reduce($parts, self::gcd(...), 0) === 1) {
                $take($parts, $k, $s);
            }

            return;
        }
        for ($n = 0; $n <= $most; $n++) {
            self::walk($one, $at + 1, [...$parts, $n], $k, $s, $most, $take);
            $k = array_map(static fn (float $sum, float $each): float => $sum + $each, $k, $one[$at][0]);
            $s += $one[$at][1];
        }
    }

    private static function gcd(int $a, int $b): int
    {
        return $b === 0 ? $a : self::gcd($b, $a % $b);
    }
}
