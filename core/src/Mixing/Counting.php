<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Size;

/** The other school: call-outs counted by size instead of surfaces measured (handbook 4, Tally; house rule estimate). */
final class Counting
{
    /** cm² an area stands for where call-outs are counted. */
    public static function cm2(Kit $kit, string $areaId): float
    {
        return self::counts($kit, $areaId) * Size::CM2_PER_COUNT;
    }

    /** Counts of an area: 1, 1, 2, 3, 5 from XS to XL, times the parts alike. */
    public static function counts(Kit $kit, string $areaId): float
    {
        $area = $kit->areasById[$areaId] ?? null;
        $alike = $area === null ? 1 : $kit->partsById[$area->part]->count;
        $size = $area === null || $area->measuredCm2 === null ? $area?->size : Size::nearest($area->measuredCm2 / $alike);

        return ($size?->weight() ?? 0) * $alike;
    }
}
