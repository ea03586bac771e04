<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Log\AreaState;
use AmberStep\Core\Log\Coat;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Log\MaskOn;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

/** Draws the section from a plan: its final surface knows every layer and mask, laid and planned, with its moment. */
final class SectionBuilder
{
    private readonly Rows $rows;

    /** @var array<string, array{Area, string}> columns in order: the area and its piece */
    private array $areas = [];

    public function __construct(private readonly Plan $plan)
    {
        $marks = [];
        $reader = new Marks($plan->context);
        $seams = $this->seams();
        foreach ($plan->context->breakdown->pieces as $piece) {
            $areas = $piece->areas;
            usort($areas, static fn (Area $a, Area $b): int => [$a->position, $a->id] <=> [$b->position, $b->id]);
            foreach ($areas as $area) {
                if ($area->face !== Face::JointFace) {
                    $this->areas[$area->id] = [$area, $piece->id];
                    array_push($marks, ...$reader->of($area, $plan->final->area($area->id), $piece->id, $seams[$area->part] ?? null));
                }
            }
        }
        $this->rows = new Rows($marks);
    }

    public function build(): Section
    {
        $columns = $cells = $caps = [];
        foreach ($this->areas as $id => [$area, $pieceId]) {
            $state = $this->plan->final->area($id);
            $own = $this->cells($area, $state);
            $ownCaps = $this->caps($id, $state);
            $columns[] = $this->column($area, $pieceId, $own, $ownCaps);
            array_push($cells, ...$own);
            array_push($caps, ...$ownCaps);
        }

        return new Section($columns, $this->rows->rows, $cells, $caps, $this->lids($cells));
    }

    /** @return list<Cell> from the bottom up */
    private function cells(Area $area, AreaState $state): array
    {
        $cells = [new Cell($area->id, 0, RowKind::Bare, 1, 1, 0, 0, [], null)];
        $seam = $this->seams()[$area->part] ?? null;
        if ($seam !== null) {
            $cells[] = new Cell($area->id, $this->rows->of($area->id, 'seam'), RowKind::Seam, 1, $this->isReal($seam) ? 1 : 0, 0, $seam, [], null);
        }
        foreach ($state->layers as $i => $layer) {
            $real = array_filter($layer->coats, fn (Coat $c): bool => $this->isReal($c->atEpoch));
            $steps = array_values(array_unique(array_filter(array_map(static fn (Coat $c): ?string => $c->stepKey, $layer->coats), is_string(...))));
            $cells[] = new Cell($area->id, $this->rows->of($area->id, "layer {$i}"), RowKind::of($layer->operation), count($layer->coats), count($real), $layer->filmMicrons(), $layer->firstCoat()->atEpoch, $steps, $layer);
        }
        foreach ([Operation::Flat, Operation::Abrade, Operation::Polish] as $operation) {
            foreach ($state->done as $key => $times) {
                foreach (str_starts_with($key, $operation->value.'/') ? array_unique($times) : [] as $at) {
                    $cells[] = new Cell($area->id, $this->rows->of($area->id, $operation->value.' '.$at), RowKind::Cut, 1, $this->isReal($at) ? 1 : 0, 0, $at, $this->stepsAt($operation, $area->id, $at), null);
                }
            }
        }
        usort($cells, static fn (Cell $a, Cell $b): int => $a->row <=> $b->row);

        return $cells;
    }

    /** @return list<string> */
    private function stepsAt(Operation $operation, string $areaId, int $atEpoch): array
    {
        $keys = [];
        foreach ($this->plan->left as $key => $planned) {
            if ($planned->step->operation === $operation && $planned->endEpoch === $atEpoch && in_array($areaId, $planned->step->targets, true)) {
                $keys[] = (string) $key;
            }
        }

        return $keys;
    }

    /** @return list<Cap> */
    private function caps(string $areaId, AreaState $state): array
    {
        $caps = [];
        foreach ($state->masksPast as $i => $stay) {
            $caps[] = $this->cap($areaId, $stay->mask, "on {$i}", $this->rows->of($areaId, "off {$i}"), $stay->offEpoch, $stay->offKey);
        }
        foreach ($state->masks as $purpose => $mask) {
            $caps[] = $this->cap($areaId, $mask, 'on '.$purpose, null, null, null);
        }

        return $caps;
    }

    private function cap(string $areaId, MaskOn $mask, string $ref, ?int $toRow, ?int $offEpoch, ?string $offKey): Cap
    {
        return new Cap($areaId, $mask->medium, $mask->purpose, $this->rows->of($areaId, $ref), $toRow, $this->isReal($mask->atEpoch), $offEpoch !== null && $this->isReal($offEpoch), $mask->atEpoch, $offEpoch, $mask->stepKey, $offKey);
    }

    /**
     * @param  list<Cell>  $cells
     * @param  list<Cap>  $caps
     */
    private function column(Area $area, string $pieceId, array $cells, array $caps): Column
    {
        $now = 1.0;
        $film = $filmNow = 0.0;
        foreach ($cells as $cell) {
            $film += $cell->filmMicrons;
            if ($cell->real > 0) {
                $now = max($now, $cell->row + $cell->real / $cell->coats);
            }
            foreach ($cell->layer->coats ?? [] as $coat) {
                $filmNow += $this->isReal($coat->atEpoch) ? $coat->filmMicrons : 0;
            }
        }
        foreach ($caps as $cap) {
            $now = max($now, $cap->on ? $cap->fromRow + 1 : 0, $cap->off && $cap->toRow !== null ? $cap->toRow + 1 : 0);
        }

        return new Column($area, $pieceId, $now, $film, $filmNow);
    }

    /**
     * Holds in front of steps that are left, each on the coat it starts from; the longest where several stand
     * on one coat. A flash between two coats of one layer shows only while it runs.
     *
     * @param  list<Cell>  $cells
     * @return list<Lid>
     */
    private function lids(array $cells): array
    {
        $layers = [];
        foreach ($cells as $cell) {
            if ($cell->layer !== null) {
                $layers[$cell->areaId][] = $cell;
            }
        }
        $lids = [];
        foreach ($this->plan->left as $key => $planned) {
            foreach ($planned->holds as $hold) {
                if ($hold->untilEpoch <= max($hold->fromEpoch, $this->plan->nowEpoch) || $hold->kind === HoldKind::Room || $hold->rule === 'dust') {
                    continue;
                }
                foreach ($layers[$hold->target] ?? [] as $cell) {
                    $at = self::above($cell->layer, $hold->fromEpoch);
                    if ($at === null || ($at < 1 && ! $hold->covers($this->plan->nowEpoch))) {
                        continue;
                    }
                    $place = $cell->areaId.' '.$cell->row.' '.$at;
                    if (! isset($lids[$place]) || $lids[$place]->hold->untilEpoch < $hold->untilEpoch) {
                        $lids[$place] = new Lid($cell->areaId, $cell->row, $at, $hold, (string) $key);
                    }
                }
            }
        }

        return array_values($lids);
    }

    /** How far up a layer its coat of a moment lies, 0 to 1; null where it has none of that moment. */
    private static function above(?Layer $layer, int $atEpoch): ?float
    {
        $coats = $layer->coats ?? [];
        foreach ($coats as $i => $coat) {
            if ($coat->atEpoch === $atEpoch) {
                return ($i + 1) / count($coats);
            }
        }

        return null;
    }

    /** @return array<string, int> when the seam on a part is gone, by part */
    private function seams(): array
    {
        $seams = [];
        foreach ($this->plan->context->kit->joints as $joint) {
            $state = $this->plan->final->joint($joint->id);
            $moments = [...$state->done['fill/all'] ?? [], ...$state->done['cut-back/all'] ?? []];
            foreach ($moments === [] ? [] : $joint->parts as $part) {
                $seams[$part] = max($seams[$part] ?? 0, ...$moments);
            }
        }

        return $seams;
    }

    private function isReal(int $atEpoch): bool
    {
        return $atEpoch <= $this->plan->nowEpoch;
    }
}
