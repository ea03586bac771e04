<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Plans;
use App\Http\Presenters\RoundPresenter;
use App\Http\Presenters\StepPresenter;

/** The plan of one build in the one timetable, and what the hands do for the others meanwhile. */
final readonly class Shared
{
    /** @param  array<string, array{name: string, lines: list<array<string, mixed>>}>  $others  by build */
    public function __construct(public Plan $plan, public Plans $plans, private array $others)
    {
    }

    /** @return list<array<string, mixed>> lines of the other builds that begin before a moment */
    public function before(int $epoch): array
    {
        $lines = [];
        foreach ($this->plans->timetable->ofNeighbours() as [$build, $place, $start, $end]) {
            if ($start >= $epoch) {
                break;
            }
            $lines[] = [...$this->others[$build]['lines'][$place] ?? [], ...StepPresenter::times($start, $end, ($end - $start) / 60), 'buildId' => $build, 'build' => $this->others[$build]['name'] ?? ''];
        }
        foreach ($this->plans->gun->line() as [$build, $planned]) {
            if (isset($this->others[$build]) && $planned->startEpoch < $epoch) {
                $lines[] = [...RoundPresenter::part($planned->step, $this->plan->context), ...StepPresenter::times($planned->startEpoch, $planned->endEpoch, $planned->minutes), 'buildId' => $build, 'build' => $this->others[$build]['name']];
            }
        }

        return $lines;
    }
}
