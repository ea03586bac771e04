<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;

/** The one timetable of all builds, line by line as the hands take it. */
final class TimetablePresenter
{
    /** A wait that ended so many seconds before a step is what held it. */
    private const JUST = 3600;

    /** @return list<array{build: string, key: string, title: string, where: string, start: string, end: string, minutes: float, wall: string, held: string|null}> */
    public static function lines(Plans $plans, int $nowEpoch): array
    {
        $lines = [];
        foreach ($plans->byBuild as $plan) {
            foreach ($plan->atTheBench() as $planned) {
                $lines[] = self::line($planned, $plan, $nowEpoch);
            }
        }
        usort($lines, static fn (array $a, array $b): int => [$a['start'], $a['end']] <=> [$b['start'], $b['end']]);

        return $lines;
    }

    /** @return array{build: string, key: string, title: string, where: string, start: string, end: string, minutes: float, wall: string, held: string|null} */
    private static function line(PlannedStep $planned, Plan $plan, int $nowEpoch): array
    {
        $told = StepPresenter::told($planned->step, $plan->context);

        return [
            'build' => $plan->context->kit->name, 'key' => $planned->step->key, 'title' => $told['title'], 'where' => $told['where'],
            'start' => Instant::format($planned->startEpoch), 'end' => Instant::format($planned->endEpoch), 'minutes' => round($planned->minutes, 1),
            'wall' => Instant::wall($planned->startEpoch, $nowEpoch, $plan->context->kit->zone), 'held' => self::held($planned),
        ];
    }

    /** What it waited for last, where it began soon after: else hands and session. */
    private static function held(PlannedStep $planned): ?string
    {
        $last = null;
        foreach ($planned->holds as $hold) {
            $ends = $hold->untilEpoch;
            if ($ends > $hold->fromEpoch && $ends <= $planned->startEpoch && $planned->startEpoch - $ends < self::JUST && ($last === null || $ends > $last->untilEpoch)) {
                $last = $hold;
            }
        }

        return $last === null ? null : self::words($last);
    }

    private static function words(Hold $hold): string
    {
        return 'held by '.$hold->because;
    }
}
