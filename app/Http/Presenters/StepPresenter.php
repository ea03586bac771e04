<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Booklet\ColourLists;
use AmberStep\Core\Document\Instant;
use AmberStep\Core\Document\Names;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Telling\CautionRound;
use AmberStep\Core\Telling\Manner;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Timing\InGuns;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

/** A step in words and figures. Every screen and command shows it through here, so that sums cannot differ. */
final class StepPresenter
{
    /** @var \WeakMap<Plan, CautionRound>|null */
    private static ?\WeakMap $rounds = null;

    /** @return array<string, mixed> the line of it: for lists and strips */
    public static function line(PlannedStep $planned, Plan $plan): array
    {
        return [...self::told($planned->step, $plan->context), ...self::times($planned->startEpoch, $planned->endEpoch, $planned->minutes)];
    }

    /** @return array<string, mixed> of the line what no time bears on */
    public static function told(Step $step, Context $context): array
    {
        return [
            'key' => $step->key,
            'title' => Words::title($step, $context),
            'where' => Words::where($step, $context),
            'pieceId' => $step->pieceId,
            'piece' => $context->pieceName($step->pieceId),
            'operation' => $step->operation->value,
            'n' => $step->n,
            'of' => $step->of,
            'swatch' => self::swatch($step, $context),
            'sprays' => $step->isSprayed(),
            'remedy' => $step->isRemedy(),
        ];
    }

    /** @return array{start: string|null, end: string|null, minutes: float} */
    public static function times(int $startEpoch, int $endEpoch, float $minutes): array
    {
        return ['start' => Time::utc($startEpoch), 'end' => Time::utc($endEpoch), 'minutes' => round($minutes, 1)];
    }

    /**
     * All of it, for the bench.
     *
     * @param  CautionRound|null  $round  of a sheet that is read by itself; null: as the bench has said it
     * @return array<string, mixed>
     */
    public static function whole(PlannedStep $planned, Plan $plan, ?CautionRound $round = null): array
    {
        $round ??= self::cautions($plan);
        $step = $planned->step;

        return [
            ...self::line($planned, $plan),
            'coat' => $step->coatKind?->value,
            'button' => Words::button($step),
            'technique' => Words::technique($step),
            'manner' => Manner::of($step, $plan->context),
            'setUp' => self::setUp($step, $plan),
            'cup' => $step->cup === null ? null : ['ml' => $step->cup->measuredMl(), 'coats' => $step->cup->coats, 'cm2' => round($step->cup->cm2, 1), 'thick' => round($step->cup->thick, 2), 'tool' => $step->cup->tool->value],
            'why' => self::why($planned, $plan),
            'dontTouch' => self::dontTouch($step, $plan),
            'cautions' => $round->whole($planned, $plan->context->kit),
            'cautionsAgain' => $round->again($planned),
            'list' => self::list($step, $plan),
            'layers' => StackPresenter::of($step, $plan),
            'event' => RoundPresenter::event($step),
            'masks' => PlatePresenter::laid($step, $plan),
            'lastAt' => self::lastAt($step, $plan),
            'faultTargets' => array_values(array_filter($step->targets, static fn (string $t): bool => isset($plan->context->kit->areasById[$t]))),
        ];
    }

    /** @return array<string, mixed>|null what is on the list of the colour that is closed */
    private static function list(Step $step, Plan $plan): ?array
    {
        if ($step->operation !== Operation::CloseColour) {
            return null;
        }
        $context = $plan->context;
        $items = ColourLists::of($context->kit, $context->breakdown, $context->surface)->byColour[$step->counted()] ?? [];

        return BookletPresenter::list($step->counted(), $items, $context->kit, $context->shelf, $context->surface);
    }

    /** Worked out once a plan. */
    private static function cautions(Plan $plan): CautionRound
    {
        self::$rounds ??= new \WeakMap;

        return self::$rounds[$plan] ??= CautionRound::atTheBench($plan->atTheBench(), $plan->context);
    }

    /** The last thing that happened to the piece: a time set back before it is asked about. */
    private static function lastAt(Step $step, Plan $plan): ?string
    {
        $times = [];
        foreach ($plan->context->breakdown->byId[$step->pieceId]->areas ?? [] as $area) {
            $times[] = $plan->context->surface->lastAt[$area->id] ?? 0;
        }

        return $times === [] || max($times) === 0 ? null : Time::utc(max($times));
    }

    /** @return array<string, mixed>|null */
    private static function setUp(Step $step, Plan $plan): ?array
    {
        $setUp = SetUp::of($step, $plan->context->kit, $plan->context->house, $plan->context->experience->uses);
        if ($setUp === null) {
            return null;
        }

        return [
            'product' => $step->product?->name,
            'ratio' => $setUp->ratio,
            'thinner' => $setUp->thinner,
            'pressureBar' => $setUp->pressureBar === null ? null : round($setUp->pressureBar, 1),
            'distanceCm' => $setUp->distanceCm,
            'nozzleMm' => $setUp->nozzleMm,
            'cupMl' => $step->isSprayed() ? RoundPresenter::ml($setUp->need) : null,
            'cupWhy' => $setUp->need->words(),
        ];
    }

    /** @return list<string> sentences: which waits are over, which rule put it here */
    private static function why(PlannedStep $planned, Plan $plan): array
    {
        $over = array_values(array_filter($planned->holds, static fn (Hold $h): bool => $h->untilEpoch <= $plan->nowEpoch && $h->untilEpoch > $h->fromEpoch && $h->wait !== null && $plan->nowEpoch - $h->untilEpoch < 3 * 86400));
        usort($over, static fn (Hold $a, Hold $b): int => $b->untilEpoch <=> $a->untilEpoch);
        $why = self::inTheGun($planned->step, $plan);
        if ($over !== []) {
            $hold = $over[0];
            $why[] = sprintf('%s: %s is over since %s (%s).', ucfirst($hold->because), self::word($hold->kind), Instant::wall($hold->untilEpoch, $plan->nowEpoch, $plan->context->kit->zone), $hold->wait?->words());
        }
        array_push($why, ...self::reasons($planned, max(0, 2 - count($why))));

        return $why === [] ? ['Nothing stands before it: it is the next step in the order of the work.'] : $why;
    }

    /** @return list<string> so many of the sentences why a step stands where it does, what says most first */
    public static function reasons(PlannedStep $planned, int $most): array
    {
        $byWeight = [];
        foreach ($planned->reasons() as $reason) {
            $byWeight[self::weight($reason)][$reason->sentence] = true;
        }
        ksort($byWeight);
        $said = [];
        foreach ($byWeight as $sentences) {
            $said += $sentences;
        }

        return array_map(strval(...), array_slice(array_keys($said), 0, $most));
    }

    /** What says most about a place in the order comes first; that a layer goes on a layer, last. */
    private static function weight(Constraint $reason): int
    {
        return match ($reason->rule) {
            'clear-glue-then-mask', 'clear-inside-first', 'blocked-by-assembly', 'barrier-before-wash' => 0,
            'uncovered', 'light-then-dark', 'panes-last', 'seam-before-paint', 'unmask-when' => 1,
            'wash-dry-before-paint', 'gloss-before-decal', 'joint-faces-bare', 'same-colour-together' => 2,
            'inspect-between' => 3,
            default => 4,
        };
    }

    /** @return list<string> that the paint is in the gun already, where it is */
    private static function inTheGun(Step $step, Plan $plan): array
    {
        $last = $plan->context->surface->lastSprayed();

        return $last !== null && $step->isSprayed() && $step->product?->id === $last[0] && $plan->nowEpoch - $last[1] < InGuns::STAYS
            ? [$step->product->name.' is in the gun since '.Instant::wall($last[1], $plan->nowEpoch, $plan->context->kit->zone).': going on with it saves a rinse.'] : [];
    }

    private static function word(HoldKind $kind): string
    {
        return match ($kind) {
            HoldKind::Flash => 'flash-off',
            HoldKind::Dry => 'drying',
            HoldKind::Touch => 'touch dry',
            HoldKind::Handle, HoldKind::Full => 'setting',
            default => $kind->value,
        };
    }

    /** @return list<string> */
    private static function dontTouch(Step $step, Plan $plan): array
    {
        $out = [];
        foreach ($plan->context->breakdown->byId[$step->pieceId]->areas ?? [] as $area) {
            if ($plan->context->surface->area($area->id)->isMasked() && ! in_array($area->id, $step->targets, true)) {
                $out[] = $area->name;
            }
        }
        $said = $out === [] ? [] : ['Leave the mask on '.Names::listed($out).'.'];
        foreach ($plan->holds as $hold) {
            if (! $hold->closing && $hold->pieceId !== '' && $hold->pieceId !== $step->pieceId && in_array($hold->kind, [HoldKind::Flash, HoldKind::Touch, HoldKind::Handle, HoldKind::Full], true)) {
                $said[] = sprintf('%s until %s.', explode(',', $hold->label)[0], Instant::wall($hold->untilEpoch, $plan->nowEpoch, $plan->context->kit->zone));
            }
        }

        return array_slice($said, 0, 3);
    }

    private static function swatch(Step $step, Context $context): ?string
    {
        $colour = $context->kit->colour($step->counted());

        return $step->product->swatch ?? $context->shelf->find($colour?->product)?->swatch;
    }
}
