<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Kit\Parking;
use AmberStep\Core\Plan\Plan;
use App\Build\Changer;
use App\Http\Presenters\BenchPresenter;
use App\Http\Presenters\BookletPresenter;
use App\Http\Presenters\BreakdownPresenter;
use App\Http\Presenters\FindPresenter;
use App\Http\Presenters\KitPresenter;
use App\Http\Presenters\MasksPresenter;
use App\Http\Presenters\MixBenchPresenter;
use App\Http\Presenters\MixPresenter;
use App\Http\Presenters\PlanPresenter;
use App\Http\Presenters\SurfacePresenter;
use App\Http\Presenters\Time;
use App\Repositories\Grits;
use App\Repositories\LoadedBuild;
use App\Repositories\Shows;
use LogicException;

/** The answers of a build that are read off one plan. */
final readonly class Slices
{
    private const USUAL_MINUTES = 90;

    public const ALL = ['bench', 'frame', 'plan', 'find', 'surface', 'masks', 'mix', 'sprayings', 'breakdown', 'booklet', 'lists'];

    /** Those that are asked after each press. */
    public const FIRST = ['bench', 'frame'];

    /** Those that say when something is done: they are worked out again when an evening does not hold it any more. */
    public const TELLS_TIMES = ['bench', 'plan', 'masks', 'sprayings'];

    public function __construct(private Changer $changer, private Grits $grits, private Shows $shows)
    {
    }

    /**
     * @param  string  $slice  one of ALL
     * @param  int|null  $minutes  somebody is at the bench for so long
     * @param  callable(int): list<array<string, mixed>>  $beside  lines of the other builds that begin before a moment
     * @return array<string, mixed>
     */
    public function of(string $slice, Plan $plan, LoadedBuild $loaded, ?int $minutes, callable $beside): array
    {
        $kit = $loaded->kit;
        $context = $plan->context;
        $name = ['build' => KitPresenter::name($loaded)];

        return match ($slice) {
            'bench' => $name + BenchPresenter::bench($plan, $minutes ?? self::USUAL_MINUTES, $beside($plan->nowEpoch + 60 * ($minutes ?? self::USUAL_MINUTES))) + ['show' => $this->show($plan, $loaded)],
            'frame' => self::frame($plan, $loaded),
            'plan' => $name + PlanPresenter::plan($plan) + $this->undoable($loaded),
            'find' => $name + ['things' => FindPresenter::things($plan)],
            'surface' => $name + SurfacePresenter::page($plan, $this->grits->owned()) + $this->undoable($loaded),
            'masks' => $name + MasksPresenter::page($plan) + $this->undoable($loaded),
            'mix' => $name + MixBenchPresenter::of($plan),
            'sprayings' => ['steps' => MixPresenter::sprayings($plan)],
            'breakdown' => $name + BreakdownPresenter::of($plan) + [
                'show' => array_map(static fn ($r): array => $r->toArray(), $kit->showRules), 'outages' => array_map(static fn ($o): array => $o->toArray(), $kit->outages),
                'parked' => self::parked($loaded), 'noseWheel' => $kit->noseWheel,
            ] + $this->undoable($loaded),
            'booklet' => BookletPresenter::page($loaded, $context->shelf, $context->house, $context->surface, $this->changer->undoable($loaded->id)),
            'lists' => $name + ['lists' => BookletPresenter::lists($kit, $context->shelf, $context->house, $context->surface)],
            default => throw new LogicException("{$slice} is no answer of a build"),
        };
    }

    /** @return array{name: string, opens: string|null, due: string|null, daysLate: int}|null the show it is made for, and by how much it misses it */
    private function show(Plan $plan, LoadedBuild $loaded): ?array
    {
        $show = $this->shows->of($loaded->id, $loaded->kit->zone);
        if ($show === null) {
            return null;
        }
        $ready = $plan->finishEpoch();

        return ['name' => $show->name, 'opens' => Time::utc($show->opensEpoch), 'due' => Time::utc($show->dueEpoch), 'daysLate' => $ready === null ? 0 : $show->daysLate($ready)];
    }

    /** @return array{undoable: array<string, mixed>|null} */
    private function undoable(LoadedBuild $loaded): array
    {
        return ['undoable' => $this->changer->undoable($loaded->id)?->toArray()];
    }

    /** @return array<string, mixed> */
    private static function frame(Plan $plan, LoadedBuild $loaded): array
    {
        $kit = $loaded->kit;

        return [
            'build' => ['id' => $loaded->id, 'name' => $kit->name, 'scale' => $kit->scale, 'subject' => $kit->subject, 'revision' => $loaded->revision, 'zone' => $kit->zone->getName(), 'aspect' => PlanPresenter::aspect($plan->aspect()), 'stops' => count($plan->stops())],
            'holds' => array_map(static fn ($hold): array => ['buildId' => $loaded->id, ...PlanPresenter::hold($hold)], $plan->holds),
        ];
    }

    /** @return list<array<string, mixed>> parts that are not built, and why */
    private static function parked(LoadedBuild $build): array
    {
        $why = (new Parking($build->kit))->why;

        return array_values(array_map(static fn ($p): array => ['id' => $p->id, 'name' => $p->name, 'number' => $p->number, 'because' => $why[$p->id]], array_filter($build->kit->parts, static fn ($p): bool => isset($why[$p->id]))));
    }
}
