<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\ShutsGates;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'What is attached is gripped by its paint: every coat of it takes tape first, the varnish too; a small part is held with tweezers once it is touch dry.',
    speaks: [],
    rests: 'Handbook 3, handled; handbook 2, Paint families: tape-safe',
)]
final class Handled implements ShutsGates
{
    /** cm² of paint under which a part is held with tweezers. */
    public const WITH_TWEEZERS = 3.0;

    public function id(): string
    {
        return 'handled';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation === Operation::Attach;
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($this->gripped($step, $world) as $piece) {
            $ofPiece = fn (string $id): array => $this->ofPiece($world->breakdown->byId[$id], $world);
            yield from $world->onPiece($this->id(), $piece, $ofPiece);
            yield from $world->gate($this->id(), $piece, $ofPiece);
        }
    }

    public function passes(Step $step, World $world): array
    {
        return array_merge([], ...array_map($world->together(...), $this->gripped($step, $world)));
    }

    public function shuts(Step $step, World $world): iterable
    {
        foreach ($step->operation->leavesLayer() ? $step->targets : [] as $target) {
            $top = ($world->kit->areasById[$target] ?? null)?->face === Face::Outside ? $world->state($target)->top() : null;
            if ($top?->product !== null) {
                yield [$step->pieceId, $world->waits->of($top, WaitKind::TapeSafe, $world->state($target))];
            }
        }
    }

    /** @return list<string> pieces a step takes into the fingers */
    private function gripped(Step $step, World $world): array
    {
        $joint = $world->kit->jointsById[$step->jointId ?? ''] ?? null;
        $gripped = [];
        foreach ($joint === null ? [] : $world->breakdown->sides($joint) as $piece) {
            $together = $world->together($piece->id);
            // The main piece stands by itself with all that hangs on it; what is put to it, or to another, is in the fingers.
            if (! in_array($world->breakdown->pieces[0]->id, $together, true) && (count($together) > 1 || self::painted($piece) >= self::WITH_TWEEZERS)) {
                $gripped[] = $piece->id;
            }
        }

        return $gripped;
    }

    /** @return float cm² of one of the parts alike */
    private static function painted(Piece $piece): float
    {
        $copies = count($piece->parts) === 1 ? max(1, $piece->parts[0]->count) : 1;

        return array_sum(array_map(static fn (Area $a): float => $a->face === Face::Outside && $a->isPainted() ? $a->cm2() : 0.0, $piece->areas)) / $copies;
    }

    /** @return list<Hold> those that last */
    private function ofPiece(Piece $piece, World $world): array
    {
        $holds = [];
        foreach ($piece->areas as $area) {
            $state = $world->state($area->id);
            foreach ($area->face === Face::Outside ? $state->layers : [] as $layer) {
                if ($layer->product !== null) {
                    $wait = $world->waits->of($layer, WaitKind::TapeSafe, $state);
                    $holds[] = new Hold(HoldKind::TapeSafe, $area->id, $wait->fromEpoch, $wait->untilEpoch, $this->id(), $layer->word().', gripped by it', $wait);
                }
            }
        }

        return Hold::lasting($holds, $world->nowEpoch);
    }
}
