<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Drying\Room;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Work\HoldKind;

/** Works out how steps and pieces stand at a moment (architecture, Log and plan). */
final readonly class Aspects
{
    /** @param  array<string, PlannedStep>  $left */
    public function __construct(private Context $context, private array $left, private Room $room, private int $nowEpoch)
    {
    }

    /** @return array<string, Aspect> by piece id, in the user's order */
    public function ofPieces(): array
    {
        $own = [];
        foreach ($this->left as $planned) {
            foreach ($this->piecesOf($planned->step) as $piece) {
                $own[$piece][] = $this->ofStep($planned);
            }
        }
        $aspects = [];
        foreach ($this->context->breakdown->pieces as $piece) {
            $aspects[$piece->id] = Aspect::over($own[$piece->id] ?? []);
        }

        return $aspects;
    }

    public function ofStep(PlannedStep $planned): Aspect
    {
        $key = $planned->step->key;
        $shutBy = $planned->shutBy();
        if ($shutBy !== null) {
            $first = $this->context->steps->find($shutBy);

            return new Aspect(AspectKind::Shut, $key, because: $first === null ? '' : Words::title($first, $this->context));
        }
        $hold = $this->binding($planned);
        if ($hold !== null) {
            return new Aspect(AspectKind::Hold, $key, $hold->fromEpoch, $planned->openFrom($this->nowEpoch), $hold->because, $hold);
        }
        if ($planned->step->isSprayed()) {
            $trouble = $this->room->limits->trouble($this->room->now(), Harvest::isGloss($planned->step));
            if ($trouble !== null) {
                $fit = $this->room->fitFrom($this->nowEpoch, Harvest::isGloss($planned->step));

                return $fit === null ? new Aspect(AspectKind::Shut, $key, because: $trouble)
                    : new Aspect(AspectKind::Hold, $key, $this->nowEpoch, $fit, $trouble, new Hold(HoldKind::Room, $planned->step->pieceId, $this->nowEpoch, $fit, 'room', $trouble));
            }
        }
        $closes = $planned->closesAt($this->nowEpoch);
        if ($closes !== null) {
            return new Aspect(AspectKind::Closing, $key, $this->nowEpoch, $closes->fromEpoch, $closes->because, $closes);
        }

        return new Aspect(AspectKind::Open, $key);
    }

    /** The hold that ends last among those that forbid the step now. */
    private function binding(PlannedStep $planned): ?Hold
    {
        $binding = null;
        foreach ($planned->holds as $hold) {
            if ($hold->covers($this->nowEpoch) && ($binding === null || $hold->untilEpoch > $binding->untilEpoch)) {
                $binding = $hold;
            }
        }

        return $binding;
    }

    /** @return list<string> */
    private function piecesOf(Step $step): array
    {
        $joint = $this->context->kit->jointsById[$step->jointId ?? ''] ?? null;
        if ($joint === null) {
            return [$step->pieceId];
        }
        [$a, $b] = $this->context->breakdown->sides($joint);

        return array_values(array_unique([$a->id, $b->id]));
    }
}
