<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Breakdown;

/** When an area is painted: with its piece, or inside before a joint closes over it. */
final class Phase
{
    /** @return string id of the joint it must be finished before; empty in the main phase of its piece */
    public static function of(string $areaId, Breakdown $breakdown): string
    {
        $joint = $breakdown->blocks($areaId);

        return $joint !== null && $breakdown->closesBeforePaint($joint->id) ? $joint->id : '';
    }
}
