<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** Which steps are done, by what is really on the model, on plan or off. */
final class Progress
{
    /** What is past once a later layer lies on the area: nobody goes back to it. */
    private const OVERTAKEN = [Operation::TestFit, Operation::Soften, Operation::Trim, Operation::Stuff, Operation::FitWarm, Operation::Wash, Operation::Abrade, Operation::TouchUp, Operation::Inspect, Operation::Mount, Operation::MaskFaces, Operation::InsideColour, Operation::Prime, Operation::Preshade, Operation::Ground, Operation::Barrier, Operation::Colour, Operation::Insignia, Operation::Gloss, Operation::Decal, Operation::Seal, Operation::Cabinet, Operation::PinWash, Operation::Filter, Operation::Final];

    /** @var array<string, int> highest rank of a layer that is there, by "area/phase" */
    private array $reached = [];

    public function __construct(private readonly Kit $kit, private readonly Breakdown $breakdown, private readonly StepSet $steps, private readonly ModelState $surface)
    {
        foreach ($steps->all() as $step) {
            if (! $step->operation->leavesLayer() || $step->isRemedy()) {
                continue;
            }
            foreach ($step->targets as $area) {
                if ($surface->area($area)->count($step->operation, $step->counted()) >= $step->n) {
                    $this->reached[$area] = max($this->reached[$area] ?? PHP_INT_MIN, $step->rank);
                }
            }
        }
    }

    /** The step on what is left of it; null once it is done. */
    public function left(Step $step): ?Step
    {
        if ($step->placeId !== null && ! $step->operation->leavesLayer()) {
            return $this->placeDone($step, $step->placeId) ? null : $step;
        }
        if ($step->isRemedy()) {
            return isset($this->surface->answered[$step->key]) ? null : $step;
        }
        if ($step->operation === Operation::Discard) {
            return isset($this->surface->discarded[$step->purpose]) ? null : $step;
        }
        if ($step->operation === Operation::CloseColour) {
            return isset($this->surface->closed[$step->counted()]) ? null : $step;
        }
        if ($step->jointId !== null) {
            return $this->surface->joint($step->jointId)->closedAt !== null ? null : $step;
        }
        if (isset($this->kit->featuresById[$step->target])) {
            return isset($this->surface->features[$step->target]) ? null : $step;
        }
        if ($step->operation === Operation::Mask || $step->operation === Operation::Unmask || $step->operation === Operation::Score) {
            return $this->mask($step);
        }
        if ($step->operation === Operation::MaskFaces || $step->operation === Operation::Unplug) {
            return $this->plugDone($step) ? null : $step;
        }
        if ($step->operation === Operation::Wash && $step->counted() === PartSteps::RELEASE && $this->isBegun($step->pieceId)) {
            return null;
        }
        if ($step->targets === [$step->pieceId]) {
            $done = $this->surface->piece($step->pieceId)->count($step->operation, $step->counted()) >= $step->n || $this->pieceOvertaken($step);

            return $done ? null : $step;
        }
        $targets = array_values(array_filter($step->targets, fn (string $area): bool => ! $this->areaDone($step, $area)));

        return match (count($targets)) {
            0 => null,
            count($step->targets) => $step,
            default => $step->on($targets),
        };
    }

    /** Washed already, or glued: the time to take the release agent off has passed. */
    private function isBegun(string $pieceId): bool
    {
        foreach ($this->breakdown->byId[$pieceId]->areas as $area) {
            if ($this->surface->area($area->id)->washedAt !== null) {
                return true;
            }
        }
        foreach ($this->breakdown->jointsOf($pieceId) as $joint) {
            if ($this->surface->joint($joint->id)->closedAt !== null) {
                return true;
            }
        }

        return false;
    }

    /** A closed joint wants no plugs; nor does one that was never plugged before paint: its faces are scraped. */
    private function plugDone(Step $step): bool
    {
        $piece = $this->surface->piece($step->pieceId);

        return $this->surface->joint($step->counted())->closedAt !== null
            || $piece->count($step->operation, $step->counted()) >= $step->n
            || ($piece->count(Operation::MaskFaces, $step->counted()) === 0 && $this->pieceOvertaken($this->steps->find("{$step->target}/mask-faces/{$step->purpose}/1") ?? $step));
    }

    private function areaDone(Step $step, string $area): bool
    {
        $state = $this->surface->area($area);
        if ($step->operation->cleans()) {
            return $state->isClean() || $this->pieceIsPainted($step);
        }

        // Once masked or taken to the next thing, it is not put into the warm for the last.
        $passed = $step->operation === Operation::Cabinet && ($state->isMasked() || $state->count(Operation::Decal, 'all') > 0 && $step->counted() === 'decal' || $state->count(Operation::Polish, 'all') > 0);

        return $passed || $state->count($step->operation, $step->counted()) >= $step->n || $this->overtaken($step, $area);
    }

    private function overtaken(Step $step, string $area): bool
    {
        return in_array($step->operation, self::OVERTAKEN, true) && ($this->reached[$area] ?? PHP_INT_MIN) > $step->rank;
    }

    /** Where paint lies on part of a piece, the time to wash it has passed. */
    private function pieceIsPainted(Step $step): bool
    {
        foreach ($this->breakdown->byId[$step->pieceId]->areas as $area) {
            $phase = $this->breakdown->blocks($area->id)?->id;
            if (isset($this->reached[$area->id]) && ($step->phase === '' ? $phase === null : $phase === $step->phase)) {
                return true;
            }
        }

        return false;
    }

    private function pieceOvertaken(Step $step): bool
    {
        foreach ($this->breakdown->byId[$step->pieceId]->areas as $area) {
            if ($this->overtaken($step, $area->id)) {
                return in_array($step->operation, self::OVERTAKEN, true);
            }
        }

        return false;
    }

    /** By the course of the place; what was still open on bare plastic is past once its piece is painted over it. */
    private function placeDone(Step $step, string $place): bool
    {
        if ($this->steps->courses[$place]->isDone($step->operation, $step->n)) {
            return true;
        }
        if ($step->throughPaint || ($step->jointId !== null && $this->surface->joint($place)->closedAt === null)) {
            return false;
        }
        $parts = Place::find($place, $this->kit)->parts ?? [];
        foreach ($this->breakdown->byId[$step->pieceId]->areas as $area) {
            if (in_array($area->part, $parts, true) && ($this->reached[$area->id] ?? PHP_INT_MIN) > $step->rank) {
                return true;
            }
        }

        return false;
    }

    private function mask(Step $step): ?Step
    {
        $targets = array_values(array_filter($step->targets, fn (string $area): bool => ! $this->maskDone($step, $area)));

        return $targets === [] ? null : $step->on($targets);
    }

    private function maskDone(Step $step, string $area): bool
    {
        $state = $this->surface->area($area);
        $laid = $state->count(Operation::Mask, $step->counted()) + $state->count(Operation::Mask, '*');
        $wasOn = $laid >= $step->n;
        // Once everything sprayed round it is on, a mask that never was is no longer wanted.
        $late = $this->pastMask($step);
        if ($step->operation === Operation::Mask) {
            return $wasOn || $late;
        }
        if ($step->operation === Operation::Score && $state->count(Operation::Score, $step->counted()) > 0) {
            return true;
        }

        if ($step->n < $step->of && $laid > $step->n) {
            return true;
        }

        // Whatever it was laid for; but the cover of an opening is no mask of a colour, nor is what keeps one sheen from another.
        $on = array_filter($state->masks, static fn (string $for): bool => ($for === MaskFor::OPENING) === ($step->purpose === MaskFor::OPENING) && (MaskFor::sheen($for) === MaskFor::sheen($step->counted()) || $for === $step->counted()), ARRAY_FILTER_USE_KEY);

        return $on === [] && ($wasOn || $late);
    }

    /** Whether all sprayings the mask is for are done or overtaken. */
    private function pastMask(Step $mask): bool
    {
        $panes = MaskFor::all($mask->purpose);
        $on = $this->steps->find("{$mask->target}/mask/{$mask->purpose}/{$mask->n}")->rank ?? $mask->rank;
        $off = $this->steps->find("{$mask->target}/unmask/{$mask->purpose}/{$mask->n}")->rank ?? PHP_INT_MAX;
        foreach ($this->steps->ofPiece($mask->pieceId) as $step) {
            $concerned = $panes || MaskFor::sheen($mask->purpose) ? $step->isSprayed() : in_array($step->operation, [Operation::Colour, Operation::Ground], true);
            if (! $concerned || $step->isRemedy() || $step->phase !== $mask->phase || $step->rank < $on || ($mask->n < $mask->of && $step->rank > $off)) {
                continue;
            }
            foreach ($step->targets as $area) {
                if (! $this->areaDone($step, $area)) {
                    return false;
                }
            }
        }

        return true;
    }
}
