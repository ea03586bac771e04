<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/** What a gun really takes of a family against what was predicted: the running mean of the log ratio, so that twice and half cancel (handbook 4, Amount). */
final readonly class UseFactor
{
    /** One slip of the pen does not ruin the next estimate. */
    private const MOST = 3.0;

    private function __construct(public float $factor, public int $jobs)
    {
    }

    /** @param  list<array{float, float}>  $jobs  ml used and ml predicted, both above 0 */
    public static function of(array $jobs): self
    {
        $logs = array_map(static fn (array $j): float => log($j[0] / $j[1]), $jobs);
        $mean = $logs === [] ? 0.0 : array_sum($logs) / count($logs);

        return new self(min(self::MOST, max(1 / self::MOST, exp($mean))), count($jobs));
    }
}
