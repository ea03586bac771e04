<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Plan\Aspect;
use AmberStep\Core\Plan\Aspects;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\RunningHold;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Words;

/** A plan as data: one presenter for the API, the command line and the previews of fixes. */
final class PlanPresenter
{
    /** @return array<string, mixed> */
    public static function plan(Plan $plan): array
    {
        return [
            'now' => Time::utc($plan->nowEpoch),
            'stepsLeft' => count($plan->left),
            'finish' => Time::utc($plan->finishEpoch()),
            'stages' => self::stages($plan),
            'cleaning' => self::atTheGun($plan->cleaning, $plan),
            'cups' => self::atTheGun($plan->cups, $plan),
            'pieces' => self::pieces($plan),
            'holds' => array_map(self::hold(...), $plan->holds),
            'findings' => self::findings($plan),
            'steered' => self::steered($plan),
            'section' => SectionPresenter::of($plan),
        ];
    }

    /** @return list<array<string, mixed>> */
    public static function findings(Plan $plan): array
    {
        return array_map(static fn (Finding $f): array => self::finding($f, $plan), $plan->findings);
    }

    /** @return list<array<string, mixed>> what the user fixed of order and time, in words */
    private static function steered(Plan $plan): array
    {
        $title = static function (string $key) use ($plan): string {
            $step = $plan->context->steps->find($key);

            return $step === null ? 'a step that is gone' : Words::title($step, $plan->context).' on '.$plan->context->pieceName($step->pieceId);
        };
        $kit = $plan->context->kit;

        return [
            ...array_map(static fn ($o): array => ['id' => $o->id, 'list' => 'orders', 'words' => $title($o->first).', before: '.$title($o->then), 'at' => null], $kit->orders),
            ...array_map(static fn ($n): array => ['id' => $n->id, 'list' => 'notBefore', 'words' => $title($n->step).($n->exactly ? ', at' : ', not before'), 'at' => Time::utc($n->atEpoch)], $kit->notBefore),
        ];
    }

    /**
     * @param  list<PlannedStep>  $steps
     * @return list<array<string, mixed>> when the gun is cleaned or a cup is mixed, how, and why
     */
    private static function atTheGun(array $steps, Plan $plan): array
    {
        return array_map(static fn (PlannedStep $p): array => [
            'key' => $p->step->key, 'title' => Words::title($p->step, $plan->context), 'start' => Time::utc($p->startEpoch), 'minutes' => $p->minutes, 'because' => $p->reasons()[0]->sentence ?? '',
        ], $steps);
    }

    /** @return list<array<string, mixed>> */
    public static function pieces(Plan $plan): array
    {
        $out = [];
        foreach ($plan->pieces as $id => $aspect) {
            $out[] = ['id' => $id, 'name' => $plan->context->pieceName($id), 'aspect' => self::aspect($aspect)];
        }

        return $out;
    }

    /** @return array<string, mixed> */
    public static function aspect(Aspect $aspect): array
    {
        return ['kind' => $aspect->kind->value, 'from' => Time::utc($aspect->fromEpoch), 'until' => Time::utc($aspect->untilEpoch), 'because' => $aspect->because];
    }

    /** @return array<string, mixed> */
    public static function hold(RunningHold $hold): array
    {
        return [
            'key' => $hold->key, 'pieceId' => $hold->pieceId, 'label' => $hold->label, 'kind' => $hold->kind->value,
            'from' => Time::utc($hold->fromEpoch), 'until' => Time::utc($hold->untilEpoch), 'forbids' => $hold->forbids,
            'words' => $hold->words, 'closing' => $hold->closing, 'on' => $hold->on,
        ];
    }

    /** @return list<array<string, mixed>> stages in order, coats folded into them */
    private static function stages(Plan $plan): array
    {
        $aspects = new Aspects($plan->context, $plan->left, $plan->context->room, $plan->nowEpoch);
        $stages = [];
        foreach ($plan->left as $planned) {
            $stages[$planned->step->stage()][] = $planned;
        }
        $out = [];
        foreach ($stages as $key => $steps) {
            usort($steps, static fn (PlannedStep $a, PlannedStep $b): int => [$a->startEpoch, $a->place] <=> [$b->startEpoch, $b->place]);
            $line = StepPresenter::line($steps[0], $plan);
            $out[] = [
                'stage' => $key,
                'title' => self::stageTitle($steps[0], $plan),
                'swatch' => $line['swatch'],
                'operation' => $line['operation'],
                'start' => Time::utc(min(array_map(static fn (PlannedStep $p): int => $p->startEpoch, $steps))),
                'end' => Time::utc(max(array_map(static fn (PlannedStep $p): int => $p->endEpoch, $steps))),
                'minutes' => round(array_sum(array_map(static fn (PlannedStep $p): float => $p->minutes, $steps)), 1),
                'inside' => $steps[0]->step->phase !== '',
                'steps' => array_map(static fn (PlannedStep $p): array => [...StepPresenter::line($p, $plan), 'aspect' => self::aspect($aspects->ofStep($p)), 'reasons' => StepPresenter::reasons($p, 3)], $steps),
            ];
        }
        usort($out, static fn (array $a, array $b): int => [$a['start'], $a['stage']] <=> [$b['start'], $b['stage']]);

        return $out;
    }

    private static function stageTitle(PlannedStep $planned, Plan $plan): string
    {
        $title = Words::title($planned->step, $plan->context);

        return $planned->step->of > 1 ? explode(',', $title)[0] : $title;
    }

    /** @return array<string, mixed> */
    private static function finding(Finding $finding, Plan $plan): array
    {
        return [
            'key' => $finding->key, 'rule' => $finding->rule, 'severity' => $finding->severity->value,
            'title' => $finding->title, 'sentence' => $finding->sentence, 'facts' => $finding->facts,
            'targets' => array_values(array_map($plan->context->nameOf(...), array_filter($finding->targets, static fn (string $t): bool => isset($plan->context->kit->areasById[$t]) || isset($plan->context->kit->jointsById[$t]) || isset($plan->context->breakdown->byId[$t])))),
            'steps' => $finding->steps, 'acceptable' => $finding->acceptable, 'accepted' => $finding->accepted,
            'fixes' => array_map(static fn (Fix $f): array => ['title' => $f->title, 'edits' => array_map(static fn (Edit $e): array => $e->toArray(), $f->edits)], $finding->fixes),
        ];
    }
}
