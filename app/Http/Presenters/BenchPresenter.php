<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Log\Fault;
use AmberStep\Core\Plan\Aspect;
use AmberStep\Core\Plan\AspectKind;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\CautionRound;

/** The bench: the one thing to do now, what follows in the minutes there are, and what to keep hands off. */
final class BenchPresenter
{
    /**
     * @param  list<array<string, mixed>>  $beside  lines of the other builds, of the minutes there are
     * @return array<string, mixed>
     */
    public static function bench(Plan $plan, int $minutes, array $beside = []): array
    {
        $now = $plan->now();
        $follows = self::tonight($plan, $minutes, $beside);
        $busy = array_sum(array_map(static fn (array $line): float => is_numeric($line['minutes']) ? (float) $line['minutes'] : 0, $follows));

        return [
            'now' => Time::utc($plan->nowEpoch),
            'minutes' => $minutes,
            'current' => $now === null ? null : StepPresenter::whole($now, $plan),
            'closesAt' => Time::utc($now?->closesAt($plan->nowEpoch)?->fromEpoch),
            'finished' => $plan->left === [],
            'follows' => $follows,
            'takeUp' => ($follows[0]['buildId'] ?? null) === null || ($follows[0]['start'] ?? '') > Time::utc($plan->nowEpoch) ? null : $follows[0],
            'idleMinutes' => max(0, (int) round($minutes - $busy)),
            'opensNext' => self::opensNext($plan),
            'handsOff' => self::handsOff($plan, $now),
            'holds' => array_map(PlanPresenter::hold(...), $plan->holds),
            'closing' => array_values(array_map(PlanPresenter::hold(...), array_filter($plan->holds, static fn ($h): bool => $h->closing))),
            'stops' => count($plan->stops()),
            'faults' => array_map(static fn (Fault $f): array => ['fault' => $f->value, 'word' => $f->word(), 'now' => $f->now()], Fault::cases()),
            'faultPlaces' => self::faultPlaces($plan),
            'finish' => Time::utc($plan->finishEpoch()),
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $beside
     * @return list<array<string, mixed>> what the hands do in the minutes there are, of all builds, by time
     */
    private static function tonight(Plan $plan, int $minutes, array $beside): array
    {
        $until = $plan->nowEpoch + 60 * $minutes;
        $own = array_filter($plan->atTheBench(), static fn (PlannedStep $p): bool => $p->startEpoch < $until);
        $all = [...array_map(static fn (PlannedStep $p): array => self::line($p, $plan), $own), ...$beside];
        usort($all, static fn (array $a, array $b): int => $a['start'] <=> $b['start']);

        return RoundPresenter::keyed($all);
    }

    /** @return array<string, mixed> */
    private static function line(PlannedStep $planned, Plan $plan): array
    {
        return [...RoundPresenter::part($planned->step, $plan->context), ...StepPresenter::times($planned->startEpoch, $planned->endEpoch, $planned->minutes), 'buildId' => null, 'build' => null];
    }

    /** @return list<array<string, mixed>> where a fault may be reported, at any time: each area, and the coats that lie on it */
    private static function faultPlaces(Plan $plan): array
    {
        $places = [];
        foreach ($plan->context->breakdown->pieces as $piece) {
            foreach ($piece->areas as $area) {
                $coats = [];
                foreach ($plan->context->surface->area($area->id)->fromTop() as $layer) {
                    if ($layer->product !== null) {
                        $coats[$layer->product->id] ??= ['product' => $layer->product->id, 'word' => $layer->word()];
                    }
                }
                $places[] = ['id' => $area->id, 'name' => $piece->name === $area->name ? $area->name : "{$piece->name}: {$area->name}", 'coats' => array_values($coats)];
            }
        }

        return $places;
    }

    /**
     * @param  list<array<string, mixed>>  $beside  lines of the other builds
     * @return array<string, mixed> all that is done in the minutes there are, each step whole: for a printed sheet
     */
    public static function sheet(Plan $plan, int $minutes, array $beside = []): array
    {
        $until = $plan->nowEpoch + 60 * $minutes;
        $tonight = array_values(array_filter($plan->atTheBench(), static fn (PlannedStep $p): bool => $p->startEpoch < $until));
        // Paper is read by itself: nothing was said above its first line.
        $round = new CautionRound($tonight, $plan->context->kit);

        return [
            'minutes' => $minutes,
            'steps' => array_map(static fn (PlannedStep $p): array => StepPresenter::whole($p, $plan, $round), $tonight),
            'lines' => self::tonight($plan, $minutes, $beside),
            'holds' => array_map(PlanPresenter::hold(...), $plan->holds),
            'handsOff' => self::handsOff($plan, null),
        ];
    }

    /** @return list<array<string, mixed>> pieces to leave alone: waits with their clocks first, then what is shut */
    private static function handsOff(Plan $plan, ?PlannedStep $now): array
    {
        $waiting = array_filter($plan->pieces, static fn (Aspect $a): bool => $a->kind === AspectKind::Hold || $a->kind === AspectKind::Shut);
        uasort($waiting, static fn (Aspect $a, Aspect $b): int => [$a->kind->rank(), $a->untilEpoch] <=> [$b->kind->rank(), $b->untilEpoch]);
        $out = [];
        foreach ($waiting as $id => $aspect) {
            if ($id !== $now?->step->pieceId) {
                $out[] = ['pieceId' => $id, 'name' => $plan->context->pieceName((string) $id), 'aspect' => PlanPresenter::aspect($aspect), 'forbids' => $aspect->hold?->kind->forbids()];
            }
        }

        return $out;
    }

    /** @return array<string, mixed>|null the first step that opens, where everything waits */
    private static function opensNext(Plan $plan): ?array
    {
        $soonest = null;
        foreach ($plan->pieces as $aspect) {
            if ($aspect->kind === AspectKind::Hold && ($soonest === null || $aspect->untilEpoch < $soonest->untilEpoch)) {
                $soonest = $aspect;
            }
        }
        $planned = $plan->left[$soonest->step ?? ''] ?? null;

        return $planned === null || $soonest === null ? null : ['until' => Time::utc($soonest->untilEpoch), 'because' => $soonest->because, ...StepPresenter::line($planned, $plan)];
    }
}
