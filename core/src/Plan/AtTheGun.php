<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Material\Product;
use AmberStep\Core\Mixing\Need;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;

/**
 * Cleanings and mixings of a timetable as steps. A mixing belongs to the build whose coat asks for it, a cleaning to the
 * one whose paint is in the gun.
 */
final class AtTheGun
{
    /** @var array<string, GunCare> by build */
    private array $guns = [];

    /** @var array<string, CupCare> by build */
    private array $cups = [];

    /** @var array<string, list<PlannedStep>> by build, in order */
    private array $cleaning = [];

    /** @var array<string, array{string, Product, string}> build, paint and piece that was sprayed last, by product id */
    private array $last = [];

    /** @var array<string, PlannedCup> the cup in use, by product id */
    private array $inUse = [];

    /**
     * @param  non-empty-array<array-key, Thread>  $threads  by build
     * @param  list<array{string, Step|null, Need|null}>  $of  build, step and need of each task; no step where it is known by its arcs alone
     */
    public function __construct(array $threads, private readonly Tasks $tasks, private readonly Timed $timed, private readonly array $of)
    {
        foreach ($threads as $build => $thread) {
            $this->of((string) $build, $thread);
            foreach (array_reverse(GunCare::begun($thread->context)) as [$product, , $piece]) {
                $this->last[$product->id] = [(string) $build, $product, $piece];
            }
        }
        $any = reset($threads);
        $order = $timed->order;
        $at = 0;
        foreach ($timed->gun as [$cleans, $paint, $start, $end, $before]) {
            for (; isset($order[$at]) && $timed->start[$order[$at]] < $start; $at++) {
                $this->sprayed($order[$at], $any);
            }
            $cleans ? $this->clean($tasks->paints[$paint]->id, $start, $end, $before, $any) : $this->mix($before, $start, $end, $any);
        }
        for (; isset($order[$at]); $at++) {
            $this->sprayed($order[$at], $any);
        }
    }

    /** @return list<PlannedStep> */
    public function cleaning(string $build): array
    {
        return $this->cleaning[$build] ?? [];
    }

    /** @return list<PlannedStep> */
    public function cups(string $build): array
    {
        return isset($this->cups[$build]) ? $this->cups[$build]->steps() : [];
    }

    /** @return list<array{string, PlannedStep}> build and step of all that is done at the guns, by time */
    public function line(): array
    {
        $line = [];
        foreach (array_keys($this->guns) as $build) {
            foreach ([...$this->cleaning((string) $build), ...$this->cups((string) $build)] as $planned) {
                $line[] = [(string) $build, $planned];
            }
        }
        usort($line, static fn (array $a, array $b): int => $a[1]->startEpoch <=> $b[1]->startEpoch);

        return $line;
    }

    /** A build that is not looked into is told in the words of one that is. */
    private function of(string $build, Thread $thread): void
    {
        $this->guns[$build] ??= new GunCare($thread->context);
        $this->cups[$build] ??= new CupCare($thread->context, $thread->context->room);
    }

    private function product(int $i, Thread $any): ?Product
    {
        $paint = $this->tasks->paint[$i];

        return $paint < 0 ? null : $this->of[$i][1]->product ?? $any->context->shelf->find($this->tasks->paints[$paint]->id);
    }

    private function sprayed(int $i, Thread $any): void
    {
        $product = $this->product($i, $any);
        if ($product === null) {
            return;
        }
        [$build, $step, $need] = $this->of[$i];
        $this->last[$product->id] = [$build, $product, $step->pieceId ?? ''];
        if ($need !== null) {
            ($this->inUse[$product->id] ?? null)?->sprayed($step, $need, $step === null ? $this->tasks->keys[$i] : implode(' ', $step->targets));
        }
    }

    private function clean(string $paint, int $start, int $end, int $before, Thread $any): void
    {
        $next = $before < 0 ? null : $this->product($before, $any);
        $nextEpoch = $before < 0 ? null : $this->timed->start[$before];
        [$build, $product, $piece] = $this->last[$paint] ?? [$before < 0 ? '' : $this->of[$before][0], $any->context->shelf->find($paint), ''];
        if ($product !== null && $build !== '') {
            $this->of($build, $any);
            $this->cleaning[$build][] = $this->guns[$build]->step($product, $piece, $start, $end, $next, $nextEpoch);
        }
        ($this->inUse[$paint] ?? null)?->gunCleaned();
    }

    private function mix(int $before, int $start, int $end, Thread $any): void
    {
        [$build, $step] = $this->of[$before];
        $product = $this->product($before, $any);
        if ($product !== null) {
            $this->of($build, $any);
            $this->inUse[$product->id] = $this->cups[$build]->mix($product, $step->pieceId ?? '', $start, $end);
        }
    }
}
