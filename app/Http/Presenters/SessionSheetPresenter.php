<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\RunUp\LaidOut;
use AmberStep\Core\RunUp\RunsOn;
use AmberStep\Core\RunUp\SessionSheet;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\CautionRound;
use DateTimeImmutable;
use DateTimeZone;

/** The sheet of one session over all builds, as it goes out. */
final class SessionSheetPresenter
{
    /**
     * @param  array<array-key, Plan>  $plans  by build
     * @return array<string, mixed>
     */
    public static function of(SessionSheet $sheet, array $plans, DateTimeZone $zone): array
    {
        $rounds = $lines = [];
        foreach ($plans as $build => $plan) {
            // Paper is read by itself: nothing was said above its first line.
            $own = array_filter($sheet->steps, static fn (array $s): bool => $s[0] === (string) $build);
            $rounds[$build] = new CautionRound(array_column(array_values($own), 1), $plan->context->kit);
        }
        foreach ($sheet->steps as [$build, $planned]) {
            $lines[] = self::line($build, $planned, $plans[$build], $rounds[$build]);
        }

        return [
            'from' => Time::utc($sheet->fromEpoch), 'until' => Time::utc($sheet->untilEpoch),
            'date' => (new DateTimeImmutable('@'.$sheet->fromEpoch))->setTimezone($zone)->format('Y-m-d'), 'zone' => $zone->getName(),
            'layOut' => array_map(static fn (LaidOut $l): array => ['name' => $l->name, 'with' => $l->with, 'swatch' => $l->swatch, 'ml' => $l->ml === null ? null : round($l->ml, 2)], $sheet->layOut),
            'lines' => RoundPresenter::keyed($lines),
            'clocks' => array_map(static fn (RunsOn $r): array => ['buildId' => $r->build, 'build' => $plans[$r->build]->context->kit->name, 'pieces' => $r->pieces, 'because' => $r->because, 'forbids' => $r->forbids, 'first' => Time::utc($r->firstEpoch), 'until' => Time::utc($r->untilEpoch)], $sheet->clocks),
        ];
    }

    /** @return array<string, mixed> */
    private static function line(string $build, PlannedStep $planned, Plan $plan, CautionRound $round): array
    {
        $context = $plan->context;
        $step = $planned->step;
        $setUp = SetUp::of($step, $context->kit, $context->house, $context->experience->uses);

        return [
            ...RoundPresenter::part($step, $context), ...StepPresenter::times($planned->startEpoch, $planned->endEpoch, $planned->minutes),
            'buildId' => $build, 'build' => $context->kit->name,
            'ratio' => $setUp?->ratio, 'pressureBar' => $setUp?->pressureBar === null ? null : round($setUp->pressureBar, 1),
            'cupMl' => $step->cup?->measuredMl(), 'cautions' => $round->whole($planned, $context->kit), 'cautionsAgain' => $round->again($planned) !== [],
        ];
    }
}
