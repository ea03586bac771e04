<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Manner;
use AmberStep\Core\Telling\Words;

/** What a fix would change, by comparing the plan before with the plan after, step by step by key. */
final class PreviewPresenter
{
    /** @return array<string, mixed> */
    public static function of(Plan $before, Plan $after): array
    {
        $moved = 0;
        [$old, $new] = [self::byKey($before), self::byKey($after)];
        foreach (array_intersect_key($new, $old) as $key => $planned) {
            $moved += abs($planned->startEpoch - $old[$key]->startEpoch) > 60 ? 1 : 0;
        }
        $known = array_column($before->findings, 'key');
        $later = array_column($after->findings, 'key');

        return [
            'added' => self::titles(array_diff_key($new, $old), $after),
            'gone' => self::titles(array_diff_key($old, $new), $before),
            'moved' => $moved,
            'otherwise' => self::otherwise($before, $after, $old),
            'findingsGone' => self::said(array_filter($before->findings, static fn (Finding $f): bool => ! in_array($f->key, $later, true))),
            'findingsNew' => self::said(array_filter($after->findings, static fn (Finding $f): bool => ! in_array($f->key, $known, true))),
            'finishBefore' => Time::utc($before->finishEpoch()),
            'finishAfter' => Time::utc($after->finishEpoch()),
        ];
    }

    /**
     * Steps that stay but are done in another manner: how, and on how many of them.
     *
     * @param  array<string, PlannedStep>  $old
     * @return list<array{sentence: string, steps: int}>
     */
    private static function otherwise(Plan $before, Plan $after, array $old): array
    {
        $count = [];
        foreach ($after->atTheBench() as $planned) {
            $same = $old[$planned->step->key] ?? null;
            if ($same === null) {
                continue;
            }
            $title = Words::title($planned->step, $after->context);
            $told = [...(Words::title($same->step, $before->context) === $title ? [] : [$title.'.']), ...array_diff(Manner::of($planned->step, $after->context), Manner::of($same->step, $before->context))];
            foreach ($told as $sentence) {
                $count[$sentence] = ($count[$sentence] ?? 0) + 1;
            }
        }
        arsort($count);

        return array_map(static fn (string $sentence, int $steps): array => ['sentence' => $sentence, 'steps' => $steps], array_keys($count), array_values($count));
    }

    /** @return array<string, PlannedStep> all that is done at the bench, cleaning the gun too */
    private static function byKey(Plan $plan): array
    {
        $steps = [];
        foreach ($plan->atTheBench() as $planned) {
            $steps[$planned->step->key] = $planned;
        }

        return $steps;
    }

    /**
     * @param  array<string, PlannedStep>  $steps
     * @return list<string>
     */
    private static function titles(array $steps, Plan $plan): array
    {
        return array_values(array_map(static fn (PlannedStep $p): string => Words::title($p->step, $plan->context), $steps));
    }

    /**
     * @param  array<Finding>  $findings
     * @return list<array{severity: string, title: string}>
     */
    private static function said(array $findings): array
    {
        return array_values(array_map(static fn (Finding $f): array => ['severity' => $f->severity->value, 'title' => $f->title], $findings));
    }
}
