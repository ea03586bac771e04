<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** The nearest ratios found so far, nearest first; of equal ones the fewest parts. */
final class RatioSearch
{
    /** @var list<array{non-empty-list<int>, float, Spectrum}> parts, CIEDE2000, look */
    public array $best = [];

    /** @var array<string, true> */
    private array $seen = [];

    public function __construct(private readonly Lab $wanted, private readonly int $keeps)
    {
    }

    /**
     * @param  non-empty-list<int>  $parts
     * @param  list<float>  $k  in each band
     * @return bool whether it is among the best
     */
    public function take(array $parts, array $k, float $s): bool
    {
        $name = implode(':', $parts);
        if (isset($this->seen[$name])) {
            return false;
        }
        $this->seen[$name] = true;
        $spectrum = new Spectrum(array_map(static fn (float $each): float => KubelkaMunk::thick($each / $s), $k));
        $differs = $spectrum->lab()->deltaE($this->wanted);
        if (count($this->best) >= $this->keeps && $differs >= $this->best[count($this->best) - 1][1]) {
            return false;
        }
        $this->best[] = [$parts, $differs, $spectrum];
        usort($this->best, static fn (array $a, array $b): int => [round($a[1], 9), array_sum($a[0]), $a[0]] <=> [round($b[1], 9), array_sum($b[0]), $b[0]]);
        $this->best = array_slice($this->best, 0, $this->keeps);

        return true;
    }
}
