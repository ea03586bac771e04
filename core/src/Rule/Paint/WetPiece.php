<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Log\AreaState;
use AmberStep\Core\Material\DriesBy;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\ShutsGates;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'A piece that was washed is not glued, masked or put on a holder while water stands in its joints: 4 h, 1 h blown off or wiped.',
    speaks: [],
    rests: 'Handbook 3, wet-piece',
)]
final class WetPiece implements ShutsGates
{
    private const MINUTES = 4 * 60;

    private const BLOWN_OFF_MINUTES = 60;

    public function id(): string
    {
        return 'wet-piece';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation->joins() || in_array($operation, [Operation::Mask, Operation::MaskFaces, Operation::Mount, Operation::Fill], true);
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($this->passes($step, $world) as $id) {
            yield from self::wet($id, self::state($id, $world), $world, $this->id());
        }
    }

    public function passes(Step $step, World $world): array
    {
        $faces = $step->operation === Operation::MaskFaces;
        $joint = $world->kit->jointsById[$step->jointId ?? ($faces ? $step->counted() : '')] ?? null;
        $pieces = $joint === null || $faces ? [$step->pieceId] : array_unique([$world->breakdown->pieceOfPart[$joint->parts[0]], $world->breakdown->pieceOfPart[$joint->parts[1]]]);
        $places = [];
        foreach ($pieces as $piece) {
            $places[] = $piece;
            foreach ($world->breakdown->byId[$piece]->areas ?? [] as $area) {
                // At a joint only its own parts count: what lies beside it may be wet.
                if ($joint === null ? $step->phase === '' || in_array($area->id, $step->targets, true) : in_array($area->part, $joint->parts, true)) {
                    $places[] = $area->id;
                }
            }
        }

        return array_values(array_unique($places));
    }

    public function shuts(Step $step, World $world): iterable
    {
        foreach ($step->operation->leavesLayer() ? [] : array_unique([$step->pieceId, ...$step->targets]) as $id) {
            $state = self::state($id, $world);
            foreach ($state->washedBy === 'plan:'.$step->key ? self::wet($id, $state, $world, $this->id()) : [] as $hold) {
                if ($hold->wait !== null) {
                    yield [$id, $hold->wait];
                }
            }
        }
    }

    private static function state(string $id, World $world): AreaState
    {
        return isset($world->breakdown->byId[$id]) ? $world->surface->piece($id) : $world->state($id);
    }

    /** @return iterable<Hold> */
    private static function wet(string $id, AreaState $state, World $world, string $rule): iterable
    {
        if ($state->washedAt !== null && $state->layers === []) {
            $wait = $world->waits->plain($state->washedAt, $state->blownOff || $state->wipedDamp ? self::BLOWN_OFF_MINUTES : self::MINUTES, DriesBy::Water, $state->stays, $state->washedBy);
            yield new Hold(HoldKind::Dry, $id, $wait->fromEpoch, $wait->untilEpoch, $rule, 'water in joints and corners', $wait);
        }
    }
}
