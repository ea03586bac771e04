<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\Family;

/** What guns were written down to take, over all builds: a gun takes what it takes whatever is painted. */
final readonly class UseBook
{
    /** @param  list<array{float, Family, float, float}>  $jobs  nozzle in mm, family, ml used and ml predicted, both above 0 */
    public function __construct(private array $jobs = [])
    {
    }

    public function of(?float $nozzleMm, Family $family): UseFactor
    {
        $same = [];
        foreach ($this->jobs as [$nozzle, $of, $used, $predicted]) {
            if ($nozzleMm !== null && $of === $family && abs($nozzle - $nozzleMm) < 0.001) {
                $same[] = [$used, $predicted];
            }
        }

        return UseFactor::of($same);
    }
}
