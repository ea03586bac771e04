<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Log\UseBook;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\WashFigures;
use AmberStep\Core\Mixing\Batch;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** Hands-on minutes (handbook 2). */
final class Minutes
{
    /** @param  UseBook|null  $uses  what the guns really take of a paint: more of it takes longer to spray; null: as the table has it */
    public static function of(Step $step, Kit $kit, HouseRules $house = new HouseRules, ?UseBook $uses = null): float
    {
        return match ($step->operation) {
            Operation::Mount => self::copies($step, $kit),
            Operation::CloseColour, Operation::Discard => 1,
            Operation::Score => max(1, self::SCORING * array_sum(array_map(static fn ($e): float => $e->mm / 10, $kit->edgesRound($step->targets)))),
            Operation::TestFit => 2,
            Operation::Soften => 3,
            Operation::Trim, Operation::Stuff, Operation::FitWarm, Operation::Photograph => 5,
            Operation::Glue, Operation::Attach => 3 * self::joined($step, $kit),
            Operation::Fill, Operation::CutBack, Operation::CheckCoat, Operation::CheckSeam, Operation::Rescribe => Place::minutes($step->operation, Place::find($step->placeId ?? '', $kit)),
            Operation::Wash => self::WATER + self::copies($step, $kit),
            Operation::Inspect => 3,
            Operation::Decal => 3 * count($step->targets),
            Operation::MaskFaces, Operation::Unplug => 0.5,
            Operation::PinWash, Operation::Filter => max(2, self::cm2($step, $kit) * WashFigures::of($step->operation === Operation::Filter, $step->product->family ?? Family::Enamel)->minutesPerCm2),
            Operation::Polish => max(5, 0.3 * self::cm2($step, $kit)),
            Operation::Mask => self::mask($step, $kit, $house),
            Operation::Unmask => 0.5 * count($step->targets),
            Operation::Flat, Operation::Abrade, Operation::Scrape => 10,
            Operation::Rinse => self::RINSE,
            Operation::Mix => Batch::MINUTES,
            Operation::Strip => self::STRIP,
            Operation::Test => 6,
            Operation::TouchUp => 4,
            Operation::Wipe => 1 + self::copies($step, $kit),
            Operation::Cabinet => 2,
            Operation::Look => 3,
            default => SetUp::of($step, $kit, $house, $uses)?->minutes() ?? 5,
        };
    }

    public const RINSE = 5;

    public const STRIP = 20;

    /** Warm water, soap and rinsing, however many pieces go through it. */
    public const WATER = 10;

    /** Scoring a liquid mask, min per cm of edge (handbook 2): all the edge costs where the mask itself is sprayed on. */
    private const SCORING = 0.2;

    private static function mask(Step $step, Kit $kit, HouseRules $house): float
    {
        $medium = $step->medium ?? Medium::PaperTape;
        $sprayed = $medium === Medium::LiquidMask && $house->says('liquid-mask', 'spray');
        $minutes = 0.0;
        foreach ($kit->edgesRound($step->targets) as $edge) {
            $minutes += $edge->mm / 10 * ($sprayed ? self::SCORING : $medium->minutesPerCm($edge->curve->value));
        }

        // The field behind the edge is covered at 0.05 min per cm²; a film is its own cover; a sprayed mask is one pass and a rinse.
        return max(1, $minutes + match (true) {
            $sprayed => 1 + 5,
            $medium === Medium::CutFilm && $house->says('cover', 'film') => 0,
            default => 0.05 * self::cm2($step, $kit),
        });
    }

    /** A minute for each of the parts alike: each wants its own holder. */
    private static function copies(Step $step, Kit $kit): int
    {
        return $kit->partsById[$step->pieceId]->count ?? 1;
    }

    /** As many times as the part that there is most of. */
    private static function joined(Step $step, Kit $kit): int
    {
        return max([1, ...array_map(static fn (string $p): int => $kit->partsById[$p]->count ?? 1, $kit->jointsById[$step->jointId ?? '']->parts ?? [])]);
    }

    private static function cm2(Step $step, Kit $kit): float
    {
        $cm2 = 0.0;
        foreach ($step->targets as $id) {
            $cm2 += isset($kit->areasById[$id]) ? $kit->areasById[$id]->cm2() : 0;
        }

        return $cm2;
    }
}
