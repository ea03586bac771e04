<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Spray\SetUp;

/** Hands-on minutes (handbook 2). */
final class Minutes
{
    public static function of(Step $step, Kit $kit): float
    {
        return match ($step->operation) {
            Operation::Mount => 1,
            Operation::Glue, Operation::Attach => 3,
            Operation::Fill => 5 + self::seamCm($step, $kit),
            Operation::CutBack => 2 * max(1, self::seamCm($step, $kit)),
            Operation::CheckSeam => 3,
            Operation::Wash => 11,
            Operation::Inspect => 3,
            Operation::Decal => 3 * count($step->targets),
            Operation::MaskFaces => 0.5,
            Operation::PinWash, Operation::Filter => max(2, 0.2 * self::cm2($step, $kit)),
            Operation::Polish => max(5, 0.3 * self::cm2($step, $kit)),
            Operation::Mask => self::mask($step, $kit),
            Operation::Unmask => 0.5 * count($step->targets),
            Operation::Flat, Operation::Abrade, Operation::Scrape => 10,
            Operation::Rinse => 5,
            Operation::Strip => 20,
            Operation::Test => 6,
            Operation::TouchUp => 4,
            Operation::Wipe, Operation::Cabinet => 2,
            Operation::Look => 3,
            default => SetUp::of($step, $kit)?->minutes() ?? 5,
        };
    }

    private static function mask(Step $step, Kit $kit): float
    {
        $medium = $step->medium ?? Medium::PaperTape;
        $minutes = 0.0;
        foreach ($kit->edges as $edge) {
            if (count(array_intersect($edge->areas, $step->targets)) === 1) {
                $minutes += $edge->mm / 10 * $medium->minutesPerCm($edge->curve->value);
            }
        }

        // The field behind the edge is covered at 0.05 min per cm².
        return max(1, $minutes + 0.05 * self::cm2($step, $kit));
    }

    private static function cm2(Step $step, Kit $kit): float
    {
        $cm2 = 0.0;
        foreach ($step->targets as $id) {
            $cm2 += isset($kit->areasById[$id]) ? $kit->areasById[$id]->cm2() : 0;
        }

        return $cm2;
    }

    private static function seamCm(Step $step, Kit $kit): float
    {
        return $kit->jointsById[$step->jointId ?? '']->lengthCm ?? 0;
    }
}
