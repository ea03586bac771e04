<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Kit\Place;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Work\Operation;

/**
 * What is done in one go stays in one go (handbook 10): the coats of a stage on a piece, with a soft or held mask all that
 * is sprayed under it, from laying to lifting, superglue with its cutting back.
 */
final class Sittings
{
    private const SET_HARD = [Filler::Superglue, Filler::SuperglueAccelerated];

    /** @var array<int, int> the first of those it sits with, by place */
    private array $with;

    /** @var array<int, true> places of which something they sit with is done already */
    private array $begun = [];

    /** @var array<int, array{int, int}> of what takes a soft mask off: what lays it, by place, and the seconds it may stay */
    private array $stays = [];

    /** @var array<int, int> of what takes off one that is on already: until when it may stay */
    private array $laid = [];

    private function __construct(private readonly Thread $thread)
    {
        $this->with = array_keys($thread->steps);
    }

    /** The sitting each task belongs to, those that are begun, and how long a mask may stay, by what takes it off. */
    public static function into(Tasks $tasks, Thread $thread): void
    {
        $sittings = new self($thread);
        $sittings->coats();
        $sittings->coloursThatMatch();
        $sittings->underSoftMasks();
        $sittings->superglue();
        $firsts = array_map($sittings->first(...), array_keys($sittings->with));
        $many = array_count_values($firsts);
        $begun = array_fill_keys(array_map($sittings->first(...), array_keys($sittings->begun)), true);

        $tasks->sitting = array_map(static fn (int $first): int => $many[$first] > 1 || isset($begun[$first]) ? $first : -1, $firsts);
        [$tasks->begun, $tasks->stays, $tasks->laid] = [array_keys($begun), $sittings->stays, $sittings->laid];
    }

    private function coats(): void
    {
        $first = [];
        foreach ($this->thread->steps as $place => $step) {
            if ($step->isSprayed() && $step->of > 1) {
                $of = "{$step->target}/{$step->operation->value}/{$step->purpose}";
                if (! isset($first[$of]) && $step->n > 1) {
                    $this->begun[$place] = true;
                }
                $first[$of] ??= $place;
                $this->join($first[$of], $place);
            }
        }
    }

    /** A colour that must match goes on all its pieces out of one mix, in one go. */
    private function coloursThatMatch(): void
    {
        $first = [];
        foreach ($this->thread->steps as $place => $step) {
            if ($step->operation === Operation::Colour && $step->n === 1 && $step->phase === '' && ! $step->isRemedy() && $this->thread->context->kit->colour($step->counted())?->mustMatch === true) {
                $first[$step->counted()] ??= $place;
                $this->join($first[$step->counted()], $place);
            }
        }
    }

    private function underSoftMasks(): void
    {
        foreach ($this->thread->steps as $off => $unmask) {
            if ($unmask->operation !== Operation::Unmask || $unmask->medium?->isSoft() !== true) {
                continue;
            }
            $on = $this->thread->places["{$unmask->target}/".Operation::Mask->value."/{$unmask->purpose}/{$unmask->n}"] ?? null;
            foreach ($this->thread->problem->sequence->alone($unmask->key) as $before => $_) {
                $place = $this->thread->places[$before] ?? null;
                // Laid already, all that is left under it belongs to it.
                if ($place !== null && $place > ($on ?? -1) && $this->thread->steps[$place]->isSprayed()) {
                    $this->join($place, $off);
                }
            }
            if ($on !== null) {
                $this->join($on, $off);
                $this->stays[$off] = [$on, 60 * $unmask->medium->longestStayMinutes(false)];
            } else {
                $this->begun[$off] = true;
                foreach ($unmask->targets as $area) {
                    foreach ($this->thread->context->surface->area($area)->masks as $mask) {
                        $this->laid[$off] = min($this->laid[$off] ?? PHP_INT_MAX, $mask->atEpoch + 60 * $unmask->medium->longestStayMinutes(false));
                    }
                }
            }
        }
    }

    private function superglue(): void
    {
        $filled = [];
        foreach ($this->thread->steps as $place => $step) {
            if ($step->operation === Operation::Fill && $this->setsHard($step)) {
                $filled[$step->placeId] = $place;
            } elseif ($step->operation === Operation::CutBack && isset($filled[$step->placeId])) {
                $this->join($filled[$step->placeId], $place);
                unset($filled[$step->placeId]);
            }
        }
    }

    private function setsHard(Step $step): bool
    {
        $place = Place::find($step->placeId ?? '', $this->thread->context->kit);

        return in_array($place?->filler(), self::SET_HARD, true);
    }

    private function join(int $a, int $b): void
    {
        [$a, $b] = [$this->first($a), $this->first($b)];
        $this->with[max($a, $b)] = min($a, $b);
    }

    private function first(int $place): int
    {
        while ($this->with[$place] !== $place) {
            $place = $this->with[$place];
        }

        return $place;
    }
}
