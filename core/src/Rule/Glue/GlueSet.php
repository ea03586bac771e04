<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\ShutsGates;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'A joint is left alone until it can be handled, and not sanded or loaded before it has its full strength.',
    speaks: [],
    rests: 'Handbook 2, Glues: handling and full strength',
)]
final class GlueSet implements ShutsGates
{
    public function id(): string
    {
        return 'glue-set';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation->touches() || $operation->sprays();
    }

    public function holds(Step $step, World $world): iterable
    {
        $own = $world->kit->jointsById[$step->jointId ?? ''] ?? null;
        $hold = $own === null ? null : $this->hold($own, $world, $step->operation === Operation::CutBack);
        if ($hold !== null) {
            yield $hold;
        }
        foreach ($this->passes($step, $world) as $piece) {
            foreach ($world->onPiece($this->id(), $piece, fn (string $id): array => $this->ofPiece($id, $world)) as $other) {
                if ($other->target !== $own?->id) {
                    yield $other;
                }
            }
        }
    }

    public function passes(Step $step, World $world): array
    {
        $own = $world->kit->jointsById[$step->jointId ?? ''] ?? null;

        return $own === null ? [$step->pieceId] : array_values(array_unique([$world->breakdown->pieceOfPart[$own->parts[0]], $world->breakdown->pieceOfPart[$own->parts[1]]]));
    }

    public function shuts(Step $step, World $world): iterable
    {
        $joint = $step->operation->joins() ? $world->kit->jointsById[$step->jointId ?? ''] ?? null : null;
        $wait = $joint === null ? null : $this->hold($joint, $world, false)?->wait;
        foreach ($this->passes($step, $world) as $piece) {
            if ($wait !== null) {
                yield [$piece, $wait];
            }
        }
    }

    /** @return list<Hold> of its joints, those that last */
    private function ofPiece(string $pieceId, World $world): array
    {
        return Hold::lasting(array_values(array_filter(array_map(fn (Joint $joint): ?Hold => $this->hold($joint, $world, false), $world->breakdown->jointsOf($pieceId)))), $world->nowEpoch);
    }

    private function hold(Joint $joint, World $world, bool $full): ?Hold
    {
        $state = $world->surface->joint($joint->id);
        if ($state->closedAt === null || $state->glue === null) {
            return null;
        }
        $wait = $world->waits->plain($state->closedAt, $full ? $state->glue->fullMinutes() : $state->glue->handleMinutes(), $state->glue->driesBy(), began: $state->closedBy, learnedAs: 'glue:'.$state->glue->value.'/'.($full ? HoldKind::Full : HoldKind::Handle)->value);

        return new Hold($full ? HoldKind::Full : HoldKind::Handle, $joint->id, $wait->fromEpoch, $wait->untilEpoch, $this->id(), $joint->name.', '.$state->glue->word(), $wait);
    }
}
