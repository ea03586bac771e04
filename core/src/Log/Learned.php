<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Work\Operation;

/**
 * What verdicts teach about a wait of a product: "soft" raises its factor at once to 1.25 times the age
 * the paint had, "fine" lowers it only after three, never under 0.7 of the label's (handbook 4).
 */
final class Learned
{
    private const LOWEST = 0.7;

    private const FINE_TO_BELIEVE = 3;

    /** Jobs from which the spread of their minutes is their own (handbook 10, Slack and chance). */
    private const JOBS_TO_SPREAD = 10;

    /** @var array<string, float> */
    private array $factors = [];

    /** @var array<string, list<float>> */
    private array $fine = [];

    /** @var array<string, list<float>> logs of minutes taken over minutes estimated, by operation */
    private array $took = [];

    /** @return array{array<string, float>, array<string, list<float>>, array<string, list<float>>} */
    public function toArray(): array
    {
        return [$this->factors, $this->fine, $this->took];
    }

    /** @param  array{array<string, float>, array<string, list<float>>, array<string, list<float>>}  $plain  as it was written */
    public static function fromArray(array $plain): self
    {
        $learned = new self;
        [$learned->factors, $learned->fine, $learned->took] = $plain;

        return $learned;
    }

    /** What it took against what was estimated. */
    public function hearMinutes(Operation $operation, float $minutes, float $estimated): void
    {
        $this->took[$operation->value][] = log($minutes / $estimated);
    }

    /** How much longer one takes than the table says: the mean of the log ratios, so that twice and half cancel; kept within a third and three. */
    public function pace(Operation $operation): float
    {
        $took = $this->took[$operation->value] ?? [];

        return $took === [] ? 1.0 : min(3.0, max(1 / 3, exp(array_sum($took) / count($took))));
    }

    /** How far apart the logs of its ratios lie, once so many jobs were written down that it says something; null before. */
    public function spread(Operation $operation): ?float
    {
        $took = $this->took[$operation->value] ?? [];
        $jobs = count($took);
        if ($jobs < self::JOBS_TO_SPREAD) {
            return null;
        }
        $middle = array_sum($took) / $jobs;

        return sqrt(array_sum(array_map(static fn (float $log): float => ($log - $middle) ** 2, $took)) / ($jobs - 1));
    }

    /** How many jobs the pace rests on. */
    public function jobs(Operation $operation): int
    {
        return count($this->took[$operation->value] ?? []);
    }

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
