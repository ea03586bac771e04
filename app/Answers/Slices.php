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
use App\Http\Presenters\MixBenchPresenter;
use App\Http\Presenters\MixPresenter;
use App\Http\Presenters\PlanPresenter;
use App\Http\Presenters\SurfacePresenter;
use App\Repositories\Grits;
use App\Repositories\LoadedBuild;
use App\Repositories\UsedOn;

/** The answers of a build that are read off one plan. */
final readonly class Slices
{
    private const USUAL_MINUTES = 90;

    /** Those that say when something is done: they are worked out again when an evening does not hold it any more. */
    public const TELLS_TIMES = ['bench', 'plan', 'sprayings'];

    public function __construct(private Changer $changer, private Grits $grits)
    {
    }

    /**
     * @param  int|null  $minutes  somebody is at the bench for so long
     * @return iterable<string, array<string, mixed>> by name
     */
    public function of(Plan $plan, LoadedBuild $loaded, ?int $minutes): iterable
    {
        $name = ['build' => KitPresenter::name($loaded)];
        $undoable = ['undoable' => $this->changer->undoable($loaded->id)?->toArray()];
        yield 'bench' => $name + BenchPresenter::bench($plan, $minutes ?? self::USUAL_MINUTES);
        yield 'frame' => self::frame($plan, $loaded);
        yield 'plan' => $name + PlanPresenter::plan($plan) + $undoable;
        yield 'find' => $name + ['things' => FindPresenter::things($plan)];
        yield 'surface' => $name + SurfacePresenter::page($plan, $this->grits->owned()) + $undoable;
        yield 'mix' => $name + MixBenchPresenter::of($plan);
        yield 'used' => ['used' => (object) UsedOn::of($loaded->kit)];
        yield 'sprayings' => ['steps' => MixPresenter::sprayings($plan)];
        yield 'breakdown' => $name + BreakdownPresenter::of($plan) + [
            'show' => array_map(static fn ($r): array => $r->toArray(), $loaded->kit->showRules), 'outages' => array_map(static fn ($o): array => $o->toArray(), $loaded->kit->outages),
            'parked' => self::parked($loaded), 'noseWheel' => $loaded->kit->noseWheel,
        ] + $undoable;
        yield 'booklet' => BookletPresenter::page($loaded, $plan->context->shelf, $plan->context->house, $plan->context->surface, $this->changer->undoable($loaded->id));
        yield 'lists' => $name + ['lists' => BookletPresenter::lists($loaded->kit, $plan->context->shelf, $plan->context->house, $plan->context->surface)];
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
