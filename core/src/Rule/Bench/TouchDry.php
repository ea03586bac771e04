<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\ShutsGates;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'A piece is handled when all of it is touch dry, with all that is attached to it.',
    speaks: [],
    rests: 'Handbook 2, Paint families: touch dry',
)]
final class TouchDry implements ShutsGates
{
    public function id(): string
    {
        return 'touch-dry';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation->touches();
    }

    public function holds(Step $step, World $world): iterable
    {
        $ofPiece = fn (string $id): array => $this->ofPiece($id, $world);
        foreach ($this->liftsSoft($step, $world) ? [] : $this->pieces($step, $world) as $pieceId) {
            yield from $world->onPiece($this->id(), $pieceId, $ofPiece);
            yield from $world->gate($this->id(), $pieceId, $ofPiece);
        }
    }

    public function passes(Step $step, World $world): array
    {
        return $this->liftsSoft($step, $world) ? [] : array_merge(...array_map($world->together(...), $this->pieces($step, $world)));
    }

    public function shuts(Step $step, World $world): iterable
    {
        foreach ($step->operation->leavesLayer() ? $step->targets : [] as $target) {
            $top = $world->state($target)->top();
            if ($top?->product !== null) {
                yield [$step->pieceId, $world->waits->of($top, WaitKind::TouchDry, $world->state($target))];
            }
        }
    }

    /** House rule: tape is lifted by its end while the paint beside it is soft. */
    private function liftsSoft(Step $step, World $world): bool
    {
        return $step->operation === Operation::Unmask && $world->house->says('tape-off', 'soft') && in_array($step->medium, [Medium::PaperTape, Medium::VinylTape, Medium::CutFilm], true);
    }

    /** @return list<Hold> */
    private function ofPiece(string $pieceId, World $world): array
    {
        $holds = [];
        foreach ($world->breakdown->byId[$pieceId]->areas ?? [] as $area) {
            $state = $world->state($area->id);
            $top = $state->top();
            if ($top?->product !== null) {
                $wait = $world->waits->of($top, WaitKind::TouchDry, $state);
                $holds[] = new Hold(HoldKind::Touch, $area->id, $wait->fromEpoch, $wait->untilEpoch, $this->id(), $top->word(), $wait);
            }
        }

        return $holds;
    }

    /** @return list<string> */
    private function pieces(Step $step, World $world): array
    {
        if ($step->jointId === null || ! isset($world->kit->jointsById[$step->jointId])) {
            return [$step->pieceId];
        }
        [$a, $b] = $world->breakdown->sides($world->kit->jointsById[$step->jointId]);

        return array_values(array_unique([$a->id, $b->id]));
    }
}
