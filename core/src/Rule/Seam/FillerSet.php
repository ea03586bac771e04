<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Seam;

use AmberStep\Core\Drying\Wait;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Log\Fold;
use AmberStep\Core\Material\DriesBy;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Filler is cut back once it is through, since a skin drags out; and superglue before it is harder than the plastic.',
    speaks: [Severity::Think],
    rests: 'Handbook 2, Fillers: when each may be cut back, and until when',
)]
final class FillerSet implements Judges, OrdersHolds
{
    /** mm: what is low in primer is filled with a skim of putty, never deeper. */
    private const SKIM = 0.15;

    public function id(): string
    {
        return 'filler-set';
    }

    public function concerns(Operation $operation): bool
    {
        return in_array($operation, [Operation::CutBack, Operation::CheckSeam, Operation::Flat], true);
    }

    public function holds(Step $step, World $world): iterable
    {
        if ($step->placeId !== null) {
            yield from $this->atPlace($step, $step->placeId, $world);
        } elseif ($step->operation === Operation::Flat && Fold::counted($step->purpose) === 'round') {
            foreach ($step->targets as $target) {
                $state = $world->state($target);
                $filled = $state->done[Operation::Fill->value.'/round'] ?? [];
                if ($filled !== []) {
                    $wait = $world->waits->plain($filled[count($filled) - 1], Filler::SolventPutty->readyMinutes(self::SKIM), Filler::SolventPutty->driesBy(), $state->stays, $state->filledBy);
                    yield new Hold(HoldKind::Ready, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), Filler::SolventPutty->word().' in the low spots', $wait);
                }
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            $state = $step->placeId === null || $step->operation !== Operation::CutBack ? null : $context->surface->joint($step->placeId);
            $shut = $state?->filler?->shutMinutes();
            if ($state === null || $shut === null || $state->filledAt === null || $state->filledAt + 60 * $shut > $context->nowEpoch) {
                continue;
            }
            $name = $context->nameOf((string) $step->placeId);
            $key = (new Finding($this->id(), Severity::Think, '', '', [(string) $step->placeId]))->key;
            yield new Finding($this->id(), Severity::Think, ucfirst("{$name}: the filler has set too hard to sand"), ucfirst("{$state->filler?->word()} was to be cut back within {$shut} min. Now it is harder than the plastic beside it, and sanding cuts a hollow on either side."), [(string) $step->placeId], [$step->key], [
                Say::insertBefore($key, (string) $step->placeId, "File {$name} flush with a fine file, tape on either side", Operation::CutBack->value, Operation::Look),
            ], rests: (string) $state->filledAt);
        }
    }

    /** @return iterable<Hold> */
    private function atPlace(Step $step, string $id, World $world): iterable
    {
        $state = $world->surface->joint($id);
        // What is filled and wiped is not sanded, but not painted either before it is through.
        $place = Place::find($id, $world->kit);
        if ($state->filledAt === null || $state->filler === null || $place === null || ! ($step->operation === Operation::CutBack || ($step->operation === Operation::CheckSeam && in_array($state->filler, Place::WIPED, true)))) {
            return;
        }
        $ready = $world->waits->plain($state->filledAt, $state->filler->readyMinutes($place->widthMm), $state->filler->driesBy(), began: $state->filledBy, learnedAs: 'filler:'.$state->filler->value.'/'.HoldKind::Ready->value);
        yield new Hold(HoldKind::Ready, $id, $ready->fromEpoch, $ready->untilEpoch, $this->id(), $state->filler->word(), $ready);
        $shut = $state->filler->shutMinutes();
        if ($shut !== null) {
            yield new Hold(HoldKind::Window, $id, $state->filledAt + 60 * $shut, $state->filledAt + 60 * $shut, $this->id(), $state->filler->word().' sets harder than the plastic', new Wait($state->filledAt, $state->filledAt + 60 * $shut, $shut, by: DriesBy::Itself, began: $state->filledBy));
        }
    }
}
