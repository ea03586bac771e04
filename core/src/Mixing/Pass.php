<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

/** Whether one uninterrupted pass over a surface comes out of one cup (handbook 4, Passes). */
final class Pass
{
    /**
     * ml of mix = area x wet film / transfer; wet film = dry film / (solids x paint share of the mix).
     *
     * @param  float  $paintShare  of the mix, hardener counting as paint; above 0 to 1
     */
    public static function ml(float $cm2, float $dryMicrons, float $solids, float $paintShare, float $transfer): float
    {
        return $cm2 * $dryMicrons * 1e-4 / ($solids * $paintShare * $transfer);
    }

    /** µm as it leaves the gun. */
    public static function wetMicrons(float $dryMicrons, float $solids, float $paintShare): float
    {
        return $dryMicrons / ($solids * $paintShare);
    }

    /**
     * What a cup wants before a pass is begun; 0 where what is in it will do.
     *
     * @param  float  $inTheCup  ml of mix
     * @param  float  $passMl  the pass takes
     * @param  float  $keeps  ml that never leave the gun
     */
    public static function short(float $inTheCup, float $passMl, float $keeps): float
    {
        return max(0.0, $passMl + $keeps - $inTheCup);
    }
}
