<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/**
 * What verdicts teach about a wait of a product: "soft" raises its factor at once to 1.25 times the age
 * the paint had, "fine" lowers it only after three, never under 0.7 of the label's (handbook 4).
 */
final class Learned
{
    private const LOWEST = 0.7;

    private const FINE_TO_BELIEVE = 3;

    /** @var array<string, float> */
    private array $factors = [];

    /** @var array<string, list<float>> */
    private array $fine = [];

    public function factor(string $productId, string $wait): float
    {
        return $this->factors[$productId.'/'.$wait] ?? 1.0;
    }

    /** @param  float  $age the age the paint had, in typical waits */
    public function hear(string $productId, string $wait, Verdict $verdict, float $age): void
    {
        $key = $productId.'/'.$wait;
        if ($verdict === Verdict::Soft) {
            $this->factors[$key] = max($this->factor($productId, $wait), 1.25 * $age);
            $this->fine[$key] = [];
        } elseif ($verdict === Verdict::Fine && $age < $this->factor($productId, $wait)) {
            $this->fine[$key][] = $age;
            if (count($this->fine[$key]) >= self::FINE_TO_BELIEVE) {
                $this->factors[$key] = max(self::LOWEST, ...array_slice($this->fine[$key], -self::FINE_TO_BELIEVE));
            }
        }
    }
}
