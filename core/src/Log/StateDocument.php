<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\FoundAt;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Glue;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Work\Operation;
use LogicException;

/**
 * The state of a model as plain arrays, for a checkpoint of its log. It is no file format: what is written here is
 * read by the same code or thrown away.
 *
 * @phpstan-type CoatColumns array{list<int>, list<string>, list<float>, list<string>, list<string|null>}
 * @phpstan-type LayerRow array{string, string, string|null, string|null, string, CoatColumns}
 * @phpstan-type MaskRow array{string, int, string, string, string|null}
 * @phpstan-type AreaRow array{layers: list<LayerRow>, masks: array<string, MaskRow>, past: list<array{MaskRow, int, string|null}>, stays: list<array{int, int|null, float}>, plain: array{int|null, string|null, string|null, bool, int|null, array<string, non-empty-list<int>>, bool}}
 * @phpstan-type JointRow array{plain: array{int|null, string|null, int|null, string|null, array<string, non-empty-list<int>>}, glue: string|null, filler: string|null, deeds: list<array{bool, string, int, string, string, string, string|null}>}
 * @phpstan-type PlainRow array{answered: array<string, array{int, string}>, inspections: array<string, list<array{int, int, string}>>, features: array<string, string>, rounds: list<array{int, int, string, string}>, cleanings: array<string, int>, discarded: array<string, int>, ticks: array<string, string>, closed: array<string, int>, fitted: array<string, list<array{string, string}>>, gunCleaned: array<string, int>, lastDone: array{int, string}, lastAt: array<string, int>}
 * @phpstan-type StateRow array{areas: array<string, AreaRow>, pieces: array<string, AreaRow>, joints: array<string, JointRow>, faults: array<string, array{string, string, list<string>, int, string|null, array{string|null, string|null, string|null, string|null, string|null, bool, bool}}>, mixes: list<array{string, string, int, float, list<float>}>, wipes: list<array{string, int, string, list<string>}>, learned: array{array<string, float>, array<string, list<float>>, array<string, list<float>>}, plain: PlainRow}
 */
final class StateDocument
{
    /** @return StateRow */
    public static function write(ModelState $state): array
    {
        return [
            'areas' => array_map(self::area(...), $state->areas()),
            'pieces' => array_map(self::area(...), $state->pieces()),
            'joints' => array_map(self::joint(...), $state->joints()),
            'faults' => array_map(static fn (OpenFault $f): array => [$f->eventId, $f->fault->value, $f->targets, $f->atEpoch, $f->product, $f->seen->row()], $state->faults),
            'mixes' => array_map(static fn (Mix $m): array => [$m->eventId, $m->product, $m->atEpoch, $m->potLifeMinutes, $m->poured], $state->mixes),
            'wipes' => array_map(static fn (Wiped $w): array => [$w->eventId, $w->atEpoch, $w->liquid->value, $w->targets], $state->wipes),
            'learned' => $state->learned->toArray(),
            'plain' => [
                'answered' => $state->answered, 'inspections' => $state->inspections, 'features' => $state->features, 'rounds' => $state->rounds, 'cleanings' => $state->cleanings, 'discarded' => $state->discarded,
                'ticks' => $state->ticks, 'closed' => $state->closed, 'fitted' => $state->fitted, 'gunCleaned' => $state->gunCleaned, 'lastDone' => $state->lastDone, 'lastAt' => $state->lastAt,
            ],
        ];
    }

    /** @param  StateRow  $plain  as it was written */
    public static function read(array $plain, Shelf $shelf): ModelState
    {
        $state = ModelState::of(self::readAreas($plain['areas'], $shelf), self::readAreas($plain['pieces'], $shelf), array_map(self::readJoint(...), $plain['joints']));
        $state->faults = array_map(static fn (array $f): OpenFault => new OpenFault($f[0], Fault::from($f[1]), $f[2], $f[3], $f[4], Seen::fromRow($f[5])), $plain['faults']);
        $state->mixes = array_map(static fn (array $m): Mix => new Mix(...$m), $plain['mixes']);
        $state->wipes = array_map(static fn (array $w): Wiped => new Wiped($w[0], $w[1], Liquid::from($w[2]), $w[3]), $plain['wipes']);
        $state->learned = Learned::fromArray($plain['learned']);
        ['answered' => $state->answered, 'inspections' => $state->inspections, 'features' => $state->features, 'rounds' => $state->rounds, 'cleanings' => $state->cleanings, 'discarded' => $state->discarded, 'ticks' => $state->ticks, 'closed' => $state->closed, 'fitted' => $state->fitted, 'gunCleaned' => $state->gunCleaned, 'lastDone' => $state->lastDone, 'lastAt' => $state->lastAt] = $plain['plain'];

        return $state;
    }

    /** @return AreaRow */
    private static function area(AreaState $area): array
    {
        return [
            'layers' => array_map(static fn (Layer $l): array => [
                $l->operation->value, $l->purpose, $l->product?->id, $l->product?->family->value, $l->mark, self::coats($l->coats),
            ], $area->layers),
            'masks' => array_map(self::mask(...), $area->masks),
            'past' => array_map(static fn (MaskStay $s): array => [self::mask($s->mask), $s->offEpoch, $s->offKey], $area->masksPast),
            'stays' => array_map(static fn (CabinetStay $s): array => [$s->fromEpoch, $s->untilEpoch, $s->temperatureC], $area->stays),
            'plain' => [$area->washedAt, $area->washedBy, $area->filledBy, $area->blownOff, $area->soiledAt, $area->done, $area->wipedDamp],
        ];
    }

    /**
     * In columns: of a long log they are most of it, and a list is read back faster than many small ones.
     *
     * @param  list<Coat>  $coats
     * @return CoatColumns
     */
    private static function coats(array $coats): array
    {
        $columns = [[], [], [], [], []];
        foreach ($coats as $coat) {
            $columns[0][] = $coat->atEpoch;
            $columns[1][] = $coat->kind->value;
            $columns[2][] = $coat->filmMicrons;
            $columns[3][] = $coat->eventId;
            $columns[4][] = $coat->stepKey;
        }

        return $columns;
    }

    /**
     * @param  CoatColumns  $columns
     * @return non-empty-list<Coat>
     */
    private static function readCoats(array $columns): array
    {
        [$times, $kinds, $films, $events, $keys] = $columns;
        $coats = [];
        foreach ($times as $i => $at) {
            $coats[] = new Coat($at, CoatKind::from($kinds[$i]), $films[$i], $events[$i], $keys[$i]);
        }

        return $coats === [] ? throw new LogicException('A layer has a coat.') : $coats;
    }

    /** @return MaskRow */
    private static function mask(MaskOn $mask): array
    {
        return [$mask->medium->value, $mask->atEpoch, $mask->purpose, $mask->eventId, $mask->stepKey];
    }

    /** @param  MaskRow  $plain */
    private static function readMask(array $plain): MaskOn
    {
        return new MaskOn(Medium::from($plain[0]), $plain[1], $plain[2], $plain[3], $plain[4]);
    }

    /**
     * @param  array<string, AreaRow>  $plain
     * @return array<string, AreaState>
     */
    private static function readAreas(array $plain, Shelf $shelf): array
    {
        $areas = [];
        foreach ($plain as $id => $area) {
            $areas[$id] = self::readArea($area, $shelf);
        }

        return $areas;
    }

    /** @param  AreaRow  $plain */
    private static function readArea(array $plain, Shelf $shelf): AreaState
    {
        $state = new AreaState;
        foreach ($plain['layers'] as [$operation, $purpose, $product, $family, $mark, $coats]) {
            $state->layers[] = new Layer(Operation::from($operation), $purpose, $product === null ? null : self::product($product, (string) $family, $shelf), self::readCoats($coats), $mark);
        }
        $state->masks = array_map(self::readMask(...), $plain['masks']);
        $state->masksPast = array_map(static fn (array $s): MaskStay => new MaskStay(self::readMask($s[0]), $s[1], $s[2]), $plain['past']);
        $state->stays = array_map(static fn (array $s): CabinetStay => new CabinetStay(...$s), $plain['stays']);
        [$state->washedAt, $state->washedBy, $state->filledBy, $state->blownOff, $state->soiledAt, $state->done, $state->wipedDamp] = $plain['plain'];

        return $state;
    }

    /** As the shelf has it now, with its hardener in where it had it. */
    private static function product(string $id, string $family, Shelf $shelf): Product
    {
        $product = $shelf->find($id) ?? CoatFold::unknown($id);

        return $family === Family::HardenedEnamel->value ? $product->hardened() : $product;
    }

    /** @return JointRow */
    private static function joint(JointState $joint): array
    {
        return [
            'plain' => [$joint->closedAt, $joint->closedBy, $joint->filledAt, $joint->filledBy, $joint->done],
            'glue' => $joint->glue?->value, 'filler' => $joint->filler?->value,
            'deeds' => array_map(static fn (Deed $d): array => [$d->what instanceof Operation, $d->what->value, $d->atEpoch, $d->through->value, $d->means, $d->eventId, $d->reason], $joint->deeds),
        ];
    }

    /** @param  JointRow  $plain */
    private static function readJoint(array $plain): JointState
    {
        $state = new JointState;
        [$state->closedAt, $state->closedBy, $state->filledAt, $state->filledBy, $state->done] = $plain['plain'];
        $state->glue = $plain['glue'] === null ? null : Glue::from($plain['glue']);
        $state->filler = $plain['filler'] === null ? null : Filler::from($plain['filler']);
        foreach ($plain['deeds'] as [$isWork, $what, $at, $through, $means, $event, $reason]) {
            $state->deeds[] = new Deed($isWork ? Operation::from($what) : Verdict::from($what), $at, FoundAt::from($through), $means, $event, $reason);
        }

        return $state;
    }
}
