<?php

declare(strict_types=1);

namespace AmberStep\Core\Spray;

use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\UseBook;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Tool;
use AmberStep\Core\Material\WashFigures;
use AmberStep\Core\Mixing\Counting;
use AmberStep\Core\Mixing\Need;
use AmberStep\Core\Mixing\Recipe;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** How the gun is set for a step (handbook 2, Gun set-up): typical figures, ranges planned at their middle. */
final readonly class SetUp
{
    /**
     * @param  string  $ratio  paint : thinner
     * @param  array{float, float}|null  $distanceCm
     * @param  float|null  $pressureBar  working pressure, trigger down
     */
    private function __construct(public string $ratio, public string $thinner, public ?float $pressureBar, public ?array $distanceCm, public ?float $nozzleMm, public CoatKind $coat, public Need $need)
    {
    }

    /** mm of width under which a surface takes the finest nozzle. */
    private const NARROW_MM = 5.0;

    /** cm² under which primer and clear go on through 0.35 at the lower figure of their family. */
    private const SMALL_PRIMED_CM2 = 10.0;

    /** Flow of mix, ml/min, by nozzle. */
    private const FLOW = ['0.2' => 0.2, '0.35' => 0.4, '0.5' => 1.0];

    /**
     * @param  HouseRules|null  $house  how amounts are estimated; null: by area
     * @param  UseBook|null  $uses  what the guns really take; null: as the table has it
     */
    public static function of(Step $step, Kit $kit, ?HouseRules $house = null, ?UseBook $uses = null): ?self
    {
        $product = $step->product;
        if ($product === null || ! $step->operation->leavesLayer()) {
            return null;
        }
        $family = $product->family;
        $figures = $family->figures();
        $coat = $step->coatKind ?? CoatKind::Light;
        $area = $largest = 0.0;
        foreach ($step->targets as $id) {
            $cm2 = isset($kit->areasById[$id]) ? $kit->areasById[$id]->cm2() : 0;
            $area += $house?->says('estimate', 'count') === true ? Counting::cm2($kit, $id) : $cm2;
            $largest = max($largest, $cm2);
        }
        $tool = $coat === CoatKind::Brushed ? Tool::Brush : Tool::spraying($family, $largest);
        $small = $tool === Tool::AirbrushSmall;
        $ratio = self::thinnerPerPaint($product, $step->thinned);
        $need = static fn (?float $nozzle): Need => Need::of($area, 1, $coat->filmMicrons($figures->referenceFilmMicrons), $figures->solidsByVolume, $tool, $ratio, false, $uses?->of($nozzle, $family));
        if ($family === Family::Aerosol) {
            return new self('from the can', 'none', null, [20, 25], null, $coat, $need(null));
        }
        if ($step->operation->isWash()) {
            return new self('to taste', $figures->thinner, null, null, null, $coat, Need::wash($area, WashFigures::of($step->operation === Operation::Filter, $family)));
        }
        if (! $step->isSprayed()) {
            return new self('to taste', $figures->thinner, null, null, null, $coat, $need(null));
        }
        $clear = $step->operation === Operation::Prime || $step->operation->isVarnish();
        // By the width of the surface, whatever its edge (handbook 8); of an area only its cm² are known.
        $widthMm = 10 * sqrt($largest);
        $coarse = $clear || $product->isMetallic();
        $task = match (true) {
            $step->operation === Operation::Preshade => [[3.0, 6.0], 0.2, 1.0],
            $widthMm < self::NARROW_MM => [[1.0, 3.0], $coarse ? 0.35 : 0.2, 0.8],
            $clear && $largest < self::SMALL_PRIMED_CM2 => [[3.0, 6.0], 0.35, $figures->pressureBar->low],
            $clear => [[10.0, 15.0], 0.5, $figures->pressureBar->high],
            $small => [[3.0, 6.0], 0.35, 1.0],
            default => [[8.0, 12.0], 0.35, $step->thinned ? $figures->pressureBar->low : $figures->pressureBar->middle()],
        };

        return new self(self::ratioOf($ratio), $figures->thinner, $task[2], $task[0], $task[1], $coat, $need($task[1]));
    }

    /** As its recipe has it; else the middle of the family's range, or its upper end where it is sprayed thinner. */
    private static function thinnerPerPaint(Product $product, bool $thinned): float
    {
        $range = $product->family->figures()->thinnerPerPaint;
        $own = $product->mix === null ? null : Recipe::kept($product->mix)->thinnerPerPaint();

        return $thinned ? max($range->high, $own ?? 0.0) : (($own ?? 0.0) > 0 ? $own : $range->middle());
    }

    /** Minutes of spraying: mix / flow, and one for the piece. */
    public function minutes(): float
    {
        return $this->need->totalMl / (self::FLOW[(string) ($this->nozzleMm ?? 0.5)] ?? 1.0) + 1;
    }

    private static function ratioOf(float $thinnerPerPaint): string
    {
        return $thinnerPerPaint <= 0 ? 'as it is' : '1 : '.rtrim(rtrim(number_format($thinnerPerPaint, 2, '.', ''), '0'), '.');
    }

    /** A camouflage edge held off with putty or card is drawn along its line first, close and low. */
    public static function isSoftEdged(Step $step, Kit $kit): bool
    {
        foreach ($step->medium === Medium::PaperTape ? [] : $step->targets as $target) {
            foreach ($kit->edgesOf($target) as $edge) {
                if ($edge->kind !== EdgeKind::Hard) {
                    return true;
                }
            }
        }

        return false;
    }
}
