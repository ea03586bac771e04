<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\NotBefore;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Show;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

/** The picture read from plans, every rule of which was asked. */
final class ByPlans
{
    /** @param  array<string, Show>  $shows  by build */
    public static function of(Plans $plans, array $shows, Calendar $calendar, int $now): RunUp
    {
        $lines = $names = $nights = [];
        foreach ($plans->byBuild as $build => $plan) {
            $names[(string) $build] = $plan->context->kit->name;
            $nights[(string) $build] = self::nights($plan);
            foreach ($plan->atTheBench() as $planned) {
                $lines[] = self::line((string) $build, $planned, $plan);
            }
        }
        $timetable = $plans->timetable;

        return new RunUp($timetable->tasks, $timetable->timed, $timetable->clock(), $lines, $names, $nights, $shows, $calendar, $now);
    }

    private static function line(string $build, PlannedStep $planned, Plan $plan): Block
    {
        $step = $planned->step;
        $context = $plan->context;
        $gun = in_array($step->operation, [Operation::Mix, Operation::Rinse, Operation::Strip], true);
        $paint = $step->isSprayed() || $gun ? $step->product : null;

        return $gun ? new Block($build, $paint, $planned->startEpoch, $planned->endEpoch, $planned->minutes, [], [], [])
            : new Block($build, $paint, $planned->startEpoch, $planned->endEpoch, $planned->minutes, [Words::title($step, $context)], [$context->pieceName($step->pieceId)], [$step->key], self::opens($planned, $plan), self::putOffs($step->key, $context->kit));
    }

    /** What lets a step go last, but for what the user asked for: the wait that ends last, or the step that has to be done first. */
    private static function opens(PlannedStep $planned, Plan $plan): ?Opens
    {
        $before = $plan->left[$planned->shutBy() ?? ''] ?? null;
        $opens = $before === null ? null : new Opens($before->endEpoch, 'first comes: '.Words::title($before->step, $plan->context).', '.$plan->context->pieceName($before->step->pieceId));
        foreach ($planned->holds as $hold) {
            if (! $hold->isChance() && $hold->kind !== HoldKind::NotBefore && $hold->untilEpoch <= $planned->startEpoch && $hold->untilEpoch > ($opens->epoch ?? $plan->nowEpoch)) {
                $opens = new Opens($hold->untilEpoch, $hold->because);
            }
        }

        return $opens;
    }

    /** @return list<string> */
    private static function putOffs(string $step, Kit $kit): array
    {
        return array_values(array_map(static fn (NotBefore $n): string => $n->id, array_filter($kit->notBefore, static fn (NotBefore $n): bool => $n->step === $step)));
    }

    /** @return list<Night> those that keep a step waiting, one after the other */
    private static function nights(Plan $plan): array
    {
        $nights = [];
        foreach ($plan->byTime() as $planned) {
            $longest = null;
            foreach ($planned->holds as $hold) {
                if (! $hold->isChance() && $hold->untilEpoch <= $planned->startEpoch && ($longest === null || $hold->untilEpoch > $longest->untilEpoch)) {
                    $longest = $hold;
                }
            }
            $last = $nights === [] ? null : $nights[count($nights) - 1];
            if ($longest === null || $longest->untilEpoch - $longest->fromEpoch < Night::LEAST || ($last !== null && $longest->untilEpoch <= $last->untilEpoch)) {
                continue;
            }
            $nights[] = new Night($longest->fromEpoch, $longest->untilEpoch, $plan->context->pieceName($planned->step->pieceId), $longest->because);
        }

        return $nights;
    }
}
