<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** Whole parts of two to four paints that come nearest to a wanted colour (handbook 4, Uses): every ratio is tried once. */
final readonly class Ratio
{
    public const MOST_PARTS = 10;

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
            $this->differs < Tones::SUBTLE[0] => 'nobody sees it',
            $this->differs < Tones::SUBTLE[1] => 'a subtle difference',
            $this->differs < self::NOT_REACHED => 'a clear difference',
            default => 'not reached with these',
        };
    }

    /**
     * The best few, nearest first; of equal ones the fewest parts.
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
        $found = [];
        self::walk($one, 0, [], array_fill(0, Observer::BANDS, 0.0), 0.0, $most, static function (array $parts, array $k, float $s) use (&$found, $wanted, $best): void {
            $spectrum = new Spectrum(array_map(static fn (float $each): float => KubelkaMunk::thick($each / $s), $k));
            $differs = $spectrum->lab()->deltaE($wanted);
            if (count($found) < $best || $differs < $found[count($found) - 1]->differs) {
                $found[] = new self($parts, $differs, $spectrum);
                usort($found, static fn (self $a, self $b): int => [round($a->differs, 9), array_sum($a->parts), $a->parts] <=> [round($b->differs, 9), array_sum($b->parts), $b->parts]);
                $found = array_slice($found, 0, $best);
            }
        });

        return $found;
    }

    /**
     * @param  list<array{list<float>, float}>  $one
     * @param  list<int>  $parts
     * @param  list<float>  $k
     * @param  callable(non-empty-list<int>, list<float>, float): void  $take
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
