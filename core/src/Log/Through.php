<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\FoundAt;
use AmberStep\Core\Kit\Kit;

/** Through what a place is found that is found now. */
final class Through
{
    /**
     * What lies on parts: the furthest that any of their outer areas has come.
     *
     * @param  list<string>  $parts
     */
    public static function on(array $parts, Kit $kit, ModelState $surface): FoundAt
    {
        $furthest = FoundAt::Bare;
        foreach ($kit->areas as $area) {
            $top = $area->face === Face::Outside && in_array($area->part, $parts, true) ? $surface->area($area->id)->top() : null;
            $at = $top === null ? $furthest : FoundAt::under($top->operation);
            $furthest = $at->isLaterThan($furthest) ? $at : $furthest;
        }

        return $furthest;
    }
}
