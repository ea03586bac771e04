<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Log\Experience;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Regulator;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Stuff;
use AmberStep\Core\Mixing\Batch;
use AmberStep\Core\Mixing\CupCheck;
use AmberStep\Core\Mixing\Drops;
use AmberStep\Core\Mixing\Jar;
use AmberStep\Core\Mixing\Known;
use AmberStep\Core\Mixing\Need;
use AmberStep\Core\Mixing\Order;
use AmberStep\Core\Mixing\Pass;
use AmberStep\Core\Mixing\PotLife;
use AmberStep\Core\Mixing\Poured;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Spray\Consistency;
use AmberStep\Core\Spray\Task;
use AmberStep\Core\Telling\Words;

/** What a recipe comes to: ml, drops and grams, the cup in pouring order, the sum, what was poured, what it will look like. */
final readonly class MixPresenter
{
    /** Jobs that are told beside a hardened cup. */
    private const MOST_JOBS = 6;

    /** µm of wet film that runs on uprights (handbook 2). */
    private const RUNS = 120.0;

    public function __construct(private Shelf $shelf, private Experience $experience, private HouseRules $house, private float $temperatureC, private int $nowEpoch, private \DateTimeZone $zone)
    {
    }

    /**
     * @param  list<array{product: string, title: string, start: int, end: int}>  $sprayings  what the plan still sprays
     * @return array<string, mixed>
     */
    public function of(Order $order, ?string $plastic = null, array $sprayings = []): array
    {
        $known = $this->paints($order);
        $family = $known === [] ? Family::WaterAcrylic : $known[0][0]->family;
        $figures = $family->figures();
        $learned = $order->nozzleMm === null || ! $order->tool->isAirbrush() ? null : $this->experience->uses->of($order->nozzleMm, $family);
        $paints = array_filter($order->recipe->parts, static fn (Part $p): bool => $p->stuff === Stuff::Paint);
        $need = $order->cm2 === null ? null : Need::of($order->cm2, $order->coats, $figures->referenceFilmMicrons, $figures->solidsByVolume, $order->tool, $order->thinnerPerPaint(), count($paints) > 1, $learned);
        $batch = match ($order->known) {
            Known::Area => $order->recipe->total($need->totalMl ?? Need::LEAST_IN_THE_CUP),
            Known::Total => $order->recipe->total($order->ml),
            Known::Part => $order->recipe->component($order->part, $order->ml),
        };
        $pouring = $batch->pouring($this->house->says('pouring', 'thinner-first'));
        $to = array_column($pouring, 1, 0);
        [$grams, $drops] = [$batch->grams(), $batch->drops()];
        $whole = self::wholeDrops($batch);

        return [
            'parts' => array_map(fn (Part $p, int $i): array => ['name' => $p->name, 'ml' => round($batch->ml[$i], 4), 'grams' => round($grams[$i], 4), 'drops' => round($drops[$i], 2), 'whole' => $whole?->counts[$i], 'to' => round($to[$i], 4), 'mlPerDrop' => round($p->mlPerDrop(), 4), 'counted' => $p->mlPerDrop !== null, 'base' => $p->base->word(), 'jobs' => $this->jobsLeft($order->products[$i], $batch->ml[$i])], $order->recipe->parts, array_keys($order->recipe->parts)),
            'pouring' => array_column($pouring, 0), 'pouringWords' => $this->house->says('pouring', 'thinner-first') ? 'Thinner first, so that no neat paint sits in the nozzle.' : 'Paint first: the thinner washes it off the wall of the cup.',
            'ratioWords' => $order->recipe->inWords(), 'totalMl' => round($batch->totalMl(), 4), 'cups' => $batch->cups($order->cupMl), 'cupMl' => $order->cupMl,
            'dropError' => $whole === null ? null : round($whole->error, 4),
            'need' => $need === null ? null : ['lines' => array_map(static fn (array $l): array => ['what' => $l[0], 'ml' => round($l[1], 4), 'origin' => $l[2]], $need->lines()), 'totalMl' => round($need->totalMl, 4), 'plainMl' => round($need->plainMl(), 4), 'jobs' => $need->learned->jobs],
            'pass' => $need === null ? null : self::pass($order, $figures->referenceFilmMicrons, $figures->solidsByVolume),
            'wet' => $this->wet($order, $figures->referenceFilmMicrons, $figures->solidsByVolume),
            'poured' => $order->poured === null || array_sum($order->poured) <= 0 ? null : self::poured($order, $order->poured, ($known[0][0] ?? null)?->isMetallic() === true),
            'pot' => $order->hardened === null ? null : $this->pot($order->hardened),
            'colour' => (new LookPresenter($this->shelf, $this->house))->of($order, $paints === [] ? [] : $known, $need, $plastic),
            'checks' => array_map(static fn (array $c): array => ['fails' => $c[0], 'says' => $c[1]], CupCheck::of($order->recipe, array_map($this->shelf->find(...), $order->products))),
            'leftover' => Jar::leftover($order->isHardened(), $order->thinnerPerPaint() > 0, $order->isMixed(), $this->house),
            'tasks' => $this->tasks($family, ($known[0][0] ?? null)?->isMetallic() === true, $order->regulator),
            'jobs' => $this->jobs($order, $sprayings),
            'signs' => self::signs($batch),
            'regulator' => $order->regulator === null ? null : self::regulator($order->regulator, $order->workingBar),
            'pressure' => $order->tool->isAirbrush() ? sprintf('%g to %g bar working, typically', $figures->pressureBar->low, $figures->pressureBar->high) : null,
        ];
    }

    /** @return list<array<string, mixed>> what the wall of the cup or a spoon may show, and what puts this mix right */
    private static function signs(Batch $batch): array
    {
        $paint = 0.0;
        foreach ($batch->recipe->parts as $i => $part) {
            $paint += $part->stuff === Stuff::Paint ? $batch->ml[$i] : 0;
        }

        return array_map(static fn (Consistency $c): array => ['sign' => $c->value, 'word' => $c->word(), 'good' => $c->isGood(), 'says' => $c->says($paint)], Consistency::cases());
    }

    /** @return array<string, mixed> */
    private static function regulator(Regulator $regulator, ?float $working): array
    {
        $rest = $working === null ? null : $regulator->atRest($working);

        return ['dropBar' => round($regulator->dropBar, 2), 'atRestBar' => $rest === null ? null : round($rest, 2), 'says' => sprintf('It drops %.2f bar with the trigger down.', $regulator->dropBar).($rest === null ? '' : sprintf(' For %.2f bar set %.2f at rest, %.1f psi.', $working, $rest, $rest * Regulator::PSI_PER_BAR))];
    }

    /** Whole jobs of this size that are left in the jar. */
    private function jobsLeft(?string $productId, float $ml): ?int
    {
        $product = $this->shelf->find($productId);

        return $product === null || $ml <= 0 ? null : (new Jar($product))->jobs($ml);
    }

    private static function wholeDrops(Batch $batch): ?Drops
    {
        $drops = $batch->drops();
        $wanted = (int) round(array_sum($drops));

        return $wanted < 1 || $wanted > Drops::MOST ? null : Drops::of($drops, $wanted);
    }

    /**
     * Whether one coat over all of it comes out of one cup: a pass on a large surface is never interrupted.
     *
     * @return array<string, mixed>
     */
    private static function pass(Order $order, float $microns, float $solids): array
    {
        $ml = Pass::ml($order->cm2 ?? 0, $microns, $solids, 1 / (1 + $order->thinnerPerPaint()), $order->tool->transfer());
        $cups = (int) ceil($ml / $order->cupMl - 1e-9);
        $poured = array_sum($order->poured ?? []);
        $short = Pass::short($poured, $ml, $order->tool->keeps());

        return ['ml' => round($ml, 3), 'fits' => $cups <= 1, 'says' => ($cups <= 1
            ? sprintf('One coat takes %.2f ml: it comes out of one cup, without a stop.', $ml)
            : sprintf('One coat takes %.2f ml, %d cups of %g ml: fill before it is empty, and break only at an edge or a panel line, or a dull line stays where wet met dry.', $ml, $cups, $order->cupMl))
            .($poured <= 0 ? '' : ($short > 0 ? sprintf(' What is in the cup, %.2f ml, does not do for it: mix %.2f ml more now.', $poured, $short) : sprintf(' What is in the cup, %.2f ml, does for it.', $poured)))];
    }

    /** @return array<string, mixed> */
    private function wet(Order $order, float $microns, float $solids): array
    {
        $wet = Pass::wetMicrons($microns, $solids, 1 / (1 + $order->thinnerPerPaint()));

        return ['microns' => round($wet), 'runs' => $wet > self::RUNS];
    }

    /**
     * @param  list<float>  $ml
     * @return array<string, mixed>
     */
    private static function poured(Order $order, array $ml, bool $metallic): array
    {
        $poured = Poured::against($order->recipe, $ml === [] ? [0.0] : $ml);
        $add = [];
        foreach ($poured->add as $i => $each) {
            if ($each > 0.005) {
                $add[] = sprintf('%.2f ml of %s', $each, $order->recipe->parts[$i]->name);
            }
        }
        $late = $poured->isOnlyThinner($order->recipe);

        return [
            'contradicts' => $poured->contradicts(),
            'says' => ($poured->contradicts() ? $poured->worst($order->recipe) : 'As the recipe says, as near as anybody pours.').($late ? ($metallic ? ' Only thinner is over: the flakes of a metallic drift off the edges in it.' : ' Only thinner is over: on a solid colour that is allowed for a last coat, it flows out.') : ''),
            'add' => array_map(static fn (float $a): float => round($a, 4), $poured->add), 'addWords' => $add === [] ? null : 'Add '.implode(' and ', $add).'.',
            'rebuilt' => array_map(static fn (float $r): float => round($r, 4), $poured->rebuilt),
        ];
    }

    /** @return array<string, mixed> */
    private function pot(float $label): array
    {
        $minutes = PotLife::at($label, $this->temperatureC);
        $dies = $this->nowEpoch + (int) round(60 * $minutes);

        return ['minutes' => round($minutes), 'dies' => Instant::format($dies), 'words' => sprintf('Hardened now it dies %s: %d min at 20 °C, %d at %.1f °C. Nothing of it goes back into a jar.', Instant::wall($dies, $this->nowEpoch, $this->zone), $label, round($minutes), $this->temperatureC)];
    }

    /** @return list<array{Product, float}> paints of the recipe that are on the shelf, with their parts */
    private function paints(Order $order): array
    {
        $paints = [];
        foreach ($order->recipe->parts as $i => $part) {
            $product = $part->stuff === Stuff::Paint ? $this->shelf->find($order->products[$i]) : null;
            if ($product !== null) {
                $paints[] = [$product, $order->recipe->shares()[$i]];
            }
        }

        return $paints;
    }

    /** @return list<array<string, mixed>> how the gun is set for each task, with what to set at rest where the regulator was read */
    private function tasks(Family $family, bool $metallic, ?Regulator $regulator): array
    {
        if ($family === Family::Aerosol || $family === Family::ArtistOil) {
            return [];
        }

        return array_map(function (Task $t) use ($family, $metallic, $regulator): array {
            $bar = $t->pressureBar($family, $this->house);
            $middle = ($bar[0] + $bar[1]) / 2;

            return ['task' => $t->value, 'word' => $t->word(), 'nozzleMm' => $t->nozzleMm($metallic), 'bar' => $bar, 'atRestBar' => $regulator === null ? null : round($regulator->atRest($middle), 2), 'distanceCm' => $t->distanceCm(), 'thinner' => round($t->thinnerPerPaint($family, $this->house), 2), 'coats' => $t->coats()];
        }, Task::cases());
    }

    /** @return list<array{product: string, title: string, start: int, end: int}> all that is still sprayed, by planned time */
    public static function sprayings(Plan $plan): array
    {
        $out = [];
        foreach ($plan->byTime() as $planned) {
            if ($planned->step->isSprayed() && $planned->step->product !== null) {
                $out[] = ['product' => $planned->step->product->id, 'title' => Words::title($planned->step, $plan->context).', '.Words::where($planned->step, $plan->context), 'start' => $planned->startEpoch, 'end' => $planned->endEpoch];
            }
        }

        return $out;
    }

    /**
     * Jobs of the plan that are still done before the mix dies, one after the other.
     *
     * @param  list<array{product: string, title: string, start: int, end: int}>  $sprayings
     * @return list<array<string, mixed>>
     */
    private function jobs(Order $order, array $sprayings): array
    {
        if ($order->hardened === null) {
            return [];
        }
        $until = $this->nowEpoch + (int) (60 * PotLife::at($order->hardened, $this->temperatureC));
        $mine = array_filter($sprayings, static fn (array $s): bool => in_array($s['product'], $order->products, true) && $s['start'] < $until);

        return array_map(static fn (array $s): array => ['title' => $s['title'], 'until' => Instant::format($s['end']), 'fits' => $s['end'] <= $until], array_slice(array_values($mine), 0, self::MOST_JOBS));
    }
}
