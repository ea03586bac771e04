<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\HoldsPieces;
use AmberStep\Core\Rule\Says;
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
final class TouchDry implements HoldsPieces
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
        // House rule: tape is lifted by its end while the paint beside it is soft.
        if ($step->operation === Operation::Unmask && $world->house->says('tape-off', 'soft') && in_array($step->medium, [Medium::PaperTape, Medium::VinylTape, Medium::CutFilm], true)) {
            return;
        }
        foreach ($this->pieces($step, $world) as $pieceId) {
            yield from $this->holdsPiece($pieceId, $world);
        }
    }

    public function holdsPiece(string $pieceId, World $world): array
    {
        $ofPiece = fn (string $id): array => $this->ofPiece($id, $world);

        return [...$world->onPiece($this->id(), $pieceId, $ofPiece), ...$world->gate($this->id(), $pieceId, $ofPiece)];
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
