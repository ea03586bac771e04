<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\FeatureKind;
use AmberStep\Core\Kit\FlawKind;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Kit\Photo;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Log\Through;
use AmberStep\Core\Log\Verdict;
use AmberStep\Core\Material\FillerAdvice;
use AmberStep\Core\Material\Grit;
use AmberStep\Core\Material\GritScale;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Seam\Rounds;
use AmberStep\Core\Seam\Sanding;
use AmberStep\Core\Section\Strip;
use AmberStep\Core\Telling\Beneath;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

/** The register of what is to be made good, with how far each place has come, what fills it, and the grits that take it there. */
final class SurfacePresenter
{
    private const RULES = ['filler-set', 'porous-filler-sealed', 'real-detail', 'features-done', 'burn-through', 'halo', 'seam-before-paint'];

    /**
     * @param  list<Grit>  $owned
     * @return array<string, mixed>
     */
    public static function page(Plan $plan, array $owned): array
    {
        $context = $plan->context;

        return [
            'places' => array_map(static fn (Strip $s): array => self::strip($s, $plan, $owned), Strip::all($plan)),
            'features' => array_map(static fn ($f): array => ['id' => $f->id, 'name' => $f->name($context->kit), 'how' => $f->kind->how(), 'part' => $context->kit->partsById[$f->part]->name, 'piece' => $context->pieceName($f->part), 'doneBy' => $context->surface->features[$f->id] ?? null], $context->kit->features),
            'rounds' => self::rounds($plan),
            'pieces' => self::readiness($plan),
            'parts' => array_map(static fn (Part $p): array => ['id' => $p->id, 'name' => $p->name, 'piece' => $context->pieceName($p->id), 'through' => Through::on([$p->id], $context->kit, $context->surface)->value], $context->kit->parts),
            'kinds' => array_map(static fn (FlawKind $k): array => ['kind' => $k->value, 'word' => $k->word(), 'filled' => ! $k->isSandedOnly()], FlawKind::cases()),
            'featureKinds' => array_map(static fn (FeatureKind $k): array => ['kind' => $k->value, 'word' => $k->word()], FeatureKind::cases()),
            'owned' => array_map(static fn (Grit $g): string => $g->label(), $owned),
            'sold' => array_map(static fn (Grit $g): string => $g->label(), array_values(array_filter(Grit::all(GritScale::Fepa), static fn (Grit $g): bool => $g->microns <= 58.5))),
            'findings' => array_values(array_filter(PlanPresenter::findings($plan), static fn (array $f): bool => in_array($f['rule'], self::RULES, true))),
        ];
    }

    /**
     * @param  list<Grit>  $owned
     * @return array<string, mixed>
     */
    private static function strip(Strip $strip, Plan $plan, array $owned): array
    {
        $place = $strip->place;
        $next = $strip->next;
        $by = $strip->course?->closedBy;
        $flaw = $plan->context->kit->flawsById[$place->id] ?? null;

        return [
            'id' => $place->id, 'name' => $place->name, 'joint' => $place->isJoint(), 'kind' => $place->kind?->value, 'piece' => $strip->piece,
            'parts' => array_map(static fn (string $p): string => $plan->context->kit->partsById[$p]->name, $place->parts),
            'where' => $flaw->where ?? '', 'widthMm' => $place->widthMm, 'depthMm' => $place->depthMm, 'lengthCm' => $place->lengthCm,
            'measured' => ['widthMm' => $flaw->widthMm ?? $place->widthMm, 'depthMm' => $flaw->depthMm ?? 0, 'lengthMm' => $flaw->lengthMm ?? 10 * $place->lengthCm],
            'access' => $place->access->value, 'accessWord' => $place->access->word(), 'crossed' => $place->crossed,
            'foundAt' => $place->foundAt->value, 'foundWord' => $place->foundAt->word(),
            'material' => implode(', ', array_unique(array_map(static fn (string $p): string => $plan->context->kit->partsById[$p]->substrate->word(), $place->parts))),
            'photos' => array_values(array_map(static fn (Photo $p): array => ['id' => $p->id, 'hash' => $p->hash, 'marks' => array_map(static fn (array $m): array => ['x' => $m[0], 'y' => $m[1]], $p->marks)], array_filter($plan->context->kit->photos, static fn (Photo $p): bool => $p->target === $place->id))),
            'beneath' => Beneath::words($place, $plan->context),
            'pace' => $next === null || $next->step->placeId === null || $plan->context->surface->learned->jobs($next->step->operation) === 0 ? null : ['jobs' => $plan->context->surface->learned->jobs($next->step->operation), 'usual' => Place::minutes($next->step->operation, $place)],
            'good' => $strip->isGood(),
            'closed' => $by === null || ! $by->what instanceof Verdict ? null : ['verdict' => $by->what->value, 'word' => $by->what->word(), 'reason' => $by->reason, 'event' => $by->eventId],
            'stages' => array_map(static fn (array $s): array => ['word' => $s[0], 'done' => $s[1]], $strip->stages),
            'next' => $next === null ? null : StepPresenter::whole($next, $plan), 'early' => $strip->tooEarly($plan),
            'looks' => $next === null || $next->step->operation === Operation::CheckSeam || $next->step->operation === Operation::CheckCoat, 'asksDetail' => $next?->step->operation === Operation::Look && $place->mayBeDetail(),
            'holdUntil' => Time::utc($strip->hold?->untilEpoch), 'holdFrom' => Time::utc($strip->hold?->fromEpoch), 'because' => $strip->hold?->because,
            'opens' => Time::utc($strip->closing !== null && $strip->hold?->kind === HoldKind::Ready ? $strip->hold->untilEpoch : null),
            'closes' => Time::utc($strip->closing?->fromEpoch),
            'filledWith' => $plan->context->surface->joint($place->id)->filler?->word(),
            'fills' => $plan->context->steps->find("{$place->id}/fill/all/1") !== null,
            'chosen' => $place->chosen?->word(),
            'advice' => self::advice($place->advice()),
            'ladder' => self::ladder($place, $plan, $owned),
        ];
    }

    /** @return array<string, mixed> */
    private static function advice(FillerAdvice $advice): array
    {
        return [
            'filler' => $advice->filler->value, 'word' => $advice->filler->word(), 'why' => $advice->why, 'how' => $advice->how,
            'runnerUp' => $advice->runnerUp === null ? null : ['filler' => $advice->runnerUp[0]->value, 'word' => $advice->runnerUp[0]->word(), 'why' => $advice->runnerUp[1]],
        ];
    }

    /**
     * From what is there to what the next layer needs.
     *
     * @param  list<Grit>  $owned
     * @return array<string, mixed>
     */
    private static function ladder(Place $place, Plan $plan, array $owned): array
    {
        $sanding = Sanding::of($place, $plan->context->house);
        $ladder = $sanding->ladder($owned);
        $missing = array_map(static fn (Grit $g): string => $g->label(), $ladder->missing ?? []);

        return [
            'from' => $sanding->from->label(), 'to' => $sanding->to->label(), 'why' => $sanding->why, 'how' => $sanding->how,
            'steps' => array_map(static fn (Grit $g): array => ['grit' => $g->label(), 'microns' => $g->microns, 'missing' => in_array($g->label(), $missing, true)], $ladder->steps ?? []),
        ];
    }

    /**
     * What stands between a piece and primer: places that are not good, detail that is not there again.
     *
     * @return list<array<string, mixed>>
     */
    private static function readiness(Plan $plan): array
    {
        $left = [];
        foreach (Strip::all($plan) as $strip) {
            $left[$strip->pieceId] = ($left[$strip->pieceId] ?? 0) + ($strip->isGood() ? 0 : 1);
        }
        foreach ($plan->context->kit->features as $feature) {
            $piece = $plan->context->breakdown->pieceAt($feature->part)->id ?? '';
            $left[$piece] = ($left[$piece] ?? 0) + (isset($plan->context->surface->features[$feature->id]) ? 0 : 1);
        }

        return array_map(static fn (string $id, int $n): array => ['name' => $plan->context->pieceName($id), 'left' => $n], array_map(strval(...), array_keys($left)), array_values($left));
    }

    /** @return array<string, mixed> */
    private static function rounds(Plan $plan): array
    {
        $found = array_map(static fn (array $r): int => $r[1], $plan->context->surface->rounds);
        $rounds = Rounds::of($found);

        return [
            'pays' => $rounds->pays, 'why' => $rounds->why,
            'counts' => array_values(array_map(static fn (Verdict $v): string => $v->value, array_filter(Verdict::cases(), static fn (Verdict $v): bool => $v->asksForMore()))),
            'gone' => array_map(static fn (array $r): array => ['at' => Time::utc($r[0]), 'found' => $r[1], 'means' => $r[2], 'event' => $r[3]], $plan->context->surface->rounds),
        ];
    }
}
