<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

use InvalidArgumentException;

/** A regulator reads more at rest than with the trigger down: one pair of readings gives the drop of a gun and hose (handbook 4, Pressure). */
final readonly class Regulator
{
    public const PSI_PER_BAR = 14.5038;

    public float $dropBar;

    /** @throws InvalidArgumentException where it does not read more at rest */
    public function __construct(float $restBar, float $flowingBar)
    {
        if ($flowingBar <= 0 || $restBar < $flowingBar) {
            throw new InvalidArgumentException('at rest it reads more than with the trigger down');
        }
        $this->dropBar = $restBar - $flowingBar;
    }

    /** What to set at rest for a working pressure. */
    public function atRest(float $workingBar): float
    {
        return $workingBar + $this->dropBar;
    }

    /** What arrives with the trigger down; 0 where nothing does. */
    public function working(float $restBar): float
    {
        return max(0.0, $restBar - $this->dropBar);
    }
}
