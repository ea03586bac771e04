<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\PlannedStep;
use AmberStep\Core\Plan\Words;
use AmberStep\Core\Rule\Finding;

/** What a fix would change, by comparing the plan before with the plan after, step by step by key. */
final class PreviewPresenter
{
    /** @return array<string, mixed> */
    public static function of(Plan $before, Plan $after): array
    {
        $moved = 0;
        foreach (array_intersect_key($after->left, $before->left) as $key => $planned) {
            $moved += abs($planned->startEpoch - $before->left[$key]->startEpoch) > 60 ? 1 : 0;
        }
        $known = array_column($before->findings, 'key');
        $later = array_column($after->findings, 'key');

        return [
            'added' => self::titles(array_diff_key($after->left, $before->left), $after),
            'gone' => self::titles(array_diff_key($before->left, $after->left), $before),
            'moved' => $moved,
            'findingsGone' => self::said(array_filter($before->findings, static fn (Finding $f): bool => ! in_array($f->key, $later, true))),
            'findingsNew' => self::said(array_filter($after->findings, static fn (Finding $f): bool => ! in_array($f->key, $known, true))),
            'finishBefore' => Time::utc($before->finishEpoch()),
            'finishAfter' => Time::utc($after->finishEpoch()),
        ];
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
