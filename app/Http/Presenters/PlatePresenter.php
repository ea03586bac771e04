<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edge;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Hand;
use AmberStep\Core\Kit\Mask;
use AmberStep\Core\Layering\Phase;
use AmberStep\Core\Masking\Register;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Section\Stages\Plate;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** A piece as a plate of tiles, and the masks of the register as they are laid on it. */
final class PlatePresenter
{
    /**
     * @param  non-empty-list<Area>  $areas
     * @return list<array<string, mixed>>
     */
    public static function tiles(array $areas, Plan $plan): array
    {
        $context = $plan->context;
        $byId = array_column($areas, null, 'id');
        $edges = array_values(array_filter($context->kit->edges, static fn (Edge $e): bool => isset($byId[$e->areas[0]], $byId[$e->areas[1]])));
        $plate = new Plate(array_map(static fn (Area $a): float => $a->cm2(), $byId), array_map(static fn (Edge $e): array => [$e->areas[0], $e->areas[1], $e->mm], $edges));

        return array_map(static function (string $area, array $tile) use ($byId, $context): array {
            $colour = $context->kit->colour($byId[$area]->intent->colour);

            return ['area' => $area, 'name' => $byId[$area]->name, 'cm2' => round($byId[$area]->cm2(), 1), 'swatch' => $context->shelf->find($colour?->product)?->swatch, 'colour' => $colour?->name, 'x' => round($tile[0], 4), 'y' => round($tile[1], 4), 'w' => round($tile[2], 4), 'h' => round($tile[3], 4)];
        }, array_keys($plate->tiles), array_values($plate->tiles));
    }

    /** @return array<string, mixed>|null the masks of the register that a step lays: where, which hand, where they begin */
    public static function laid(Step $step, Plan $plan): ?array
    {
        $context = $plan->context;
        $register = new Register($context->kit, $context->surface);
        $masks = $step->operation === Operation::Mask ? $register->laid($step->targets, $step->counted()) : [];
        $areas = array_values(array_filter($context->breakdown->byId[$step->pieceId]->areas ?? [], static fn (Area $a): bool => $a->face !== Face::JointFace && Phase::of($a->id, $context->breakdown) === $step->phase));
        if ($masks === [] || $areas === []) {
            return null;
        }

        return [
            'aspect' => Plate::ASPECT, 'tiles' => self::tiles($areas, $plan),
            'masks' => array_map(static fn (Mask $m): array => [
                'id' => $m->id, 'name' => $m->name(), 'area' => $m->area, 'where' => $context->areaName((string) $m->area), 'hand' => $m->hand->value, 'start' => $m->start,
                'other' => $m->hand === Hand::None ? null : $register->other($m)?->name(),
            ], $masks),
        ];
    }
}
