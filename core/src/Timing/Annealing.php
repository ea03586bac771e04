<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use Random\Randomizer;

/** What a search goes on with: what is better, and what is worse the less often the worse it is and the later. */
final class Annealing
{
    /**
     * @param  float  $worse  by how much, in whatever is counted; 0 or less: it is no worse
     * @param  float  $heat  how much of that is taken lightly, more than 0
     */
    public static function takes(Randomizer $random, float $worse, float $heat): bool
    {
        return $worse <= 0 || $random->getInt(0, 999_999) < 1_000_000 * exp(-$worse / $heat);
    }
}
