<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use SplMinHeap;

/**
 * Chooses the next step among those that may be done: what closes soonest, then what is sprayed with the paint in
 * the gun, then the plan's own order. What is held sleeps until it may wake, so that only what is free is looked at.
 */
final class Chooser
{
    /** A chance that closes within this many seconds is taken before the plan's own order. */
    public const CLOSING_SOON = 3 * 3600;

    /** @var array<int, Step> by place in the plan's order */
    private array $awake = [];

    /** @var array<int, int> when each of the others wakes, by place */
    private array $asleep = [];

    /** @var SplMinHeap<array{int, int}> when one wakes, and its place; those that woke or were set anew since are passed over */
    private SplMinHeap $alarms;

    /** @var array<int, Step> all that may be done, by place */
    private array $steps = [];

    /** @var array<string, array<int, true>> places by each piece they lie on */
    private array $onPiece = [];

    /** @var array<int, true> places that wait for dust: anything done anywhere may bear on them */
    private array $anywhere = [];

    /** @var array<string, array<int, true>> places of sprayings, by paint */
    private array $byPaint = [];

    /** @var array<int, true> places of washings */
    private array $washes = [];

    /** @var array<int, int> when a chance closes, at the earliest, by place */
    private array $chances = [];

    private bool $inOrder = true;

    public function __construct(private readonly Moments $moments, private readonly HoldBook $holds, private readonly GunCare $gun)
    {
        $this->alarms = new SplMinHeap;
    }

    public function add(int $place, Step $step, int $now): void
    {
        $this->steps[$place] = $step;
        foreach ($this->holds->piecesOf($step) as $piece) {
            $this->onPiece[$piece][$place] = true;
        }
        if ($step->operation->sands()) {
            $this->anywhere[$place] = true;
        }
        if ($step->operation->sprays() && $step->product !== null) {
            $this->byPaint[$step->product->id][$place] = true;
        }
        if ($step->operation === Operation::Wash) {
            $this->washes[$place] = true;
        }
        $this->settle($place, $now);
    }

    public function remove(int $place): void
    {
        $step = $this->steps[$place];
        foreach ($this->holds->piecesOf($step) as $piece) {
            unset($this->onPiece[$piece][$place]);
        }
        unset($this->steps[$place], $this->awake[$place], $this->asleep[$place], $this->chances[$place], $this->anywhere[$place], $this->washes[$place], $this->byPaint[$step->product->id ?? ''][$place]);
    }

    /**
     * A step was done: when what else lies on its pieces may be done is asked anew, and what needs less time now, since
     * its paint is mixed or its water warm. What only holds others longer is found when they wake: a joint that was
     * closed, and paint on what hangs on a piece.
     *
     * @param  bool  $loads  its paint was not in the gun before
     */
    public function done(Step $step, bool $loads, int $now): void
    {
        $places = $this->anywhere + match (true) {
            $loads => $this->byPaint[$step->product->id ?? ''] ?? [],
            $step->operation === Operation::Wash => $this->washes,
            default => [],
        };
        foreach ($step->operation->joins() ? [] : $this->holds->piecesOf($step) as $piece) {
            $places += $this->onPiece[$piece] ?? [];
        }
        foreach ($places as $place => $_) {
            $this->settle($place, $now);
        }
    }

    public function isDone(): bool
    {
        return $this->steps === [];
    }

    /** @return array{int, int} place of the step done next, and when its mixing, or it, is begun */
    public function next(int $now): array
    {
        for (; ;) {
            $this->wake($now);
            $later = PHP_INT_MAX;
            foreach ($this->awake as $place => $step) {
                $from = $this->moments->startOf($step, $now);
                if ($from <= $now) {
                    return [$this->closing($now) ?? $this->loaded($now) ?? $place, $now];
                }
                $later = min($later, $from);
                $this->sleep($place, $from - Moments::lead($step), $now);
            }
            $now = min($later, $this->nextAlarm()[0] ?? PHP_INT_MAX);
        }
    }

    /** Awake where something of it may be begun by now, asleep until then where not. */
    private function settle(int $place, int $now): void
    {
        $step = $this->steps[$place];
        $closes = $this->holds->of($step)->closesAfter($now);
        if ($closes === null) {
            unset($this->chances[$place]);
        } else {
            $this->chances[$place] = $closes;
        }
        $this->sleep($place, $this->moments->asleepUntil($step, $now), $now);
    }

    /** Sleeps until a moment; where that is not to come, it is awake. */
    private function sleep(int $place, int $until, int $now): void
    {
        if ($until <= $now) {
            unset($this->asleep[$place]);
            $this->awaken($place);
        } elseif (($this->asleep[$place] ?? null) !== $until) {
            unset($this->awake[$place]);
            $this->asleep[$place] = $until;
            $this->alarms->insert([$until, $place]);
        }
    }

    private function awaken(int $place): void
    {
        $this->inOrder = $this->inOrder && isset($this->awake[$place]);
        $this->awake[$place] = $this->steps[$place];
    }

    private function wake(int $now): void
    {
        while (($alarm = $this->nextAlarm()) !== null && $alarm[0] <= $now) {
            $this->alarms->extract();
            unset($this->asleep[$alarm[1]]);
            $this->awaken($alarm[1]);
        }
        if (! $this->inOrder) {
            ksort($this->awake);
            $this->inOrder = true;
        }
    }

    /** @return array{int, int}|null when the next of those asleep wakes, and its place */
    private function nextAlarm(): ?array
    {
        while (! $this->alarms->isEmpty()) {
            [$at, $place] = $this->alarms->top();
            if (($this->asleep[$place] ?? null) === $at) {
                return [$at, $place];
            }
            $this->alarms->extract();
        }

        return null;
    }

    /** The one whose chance closes soonest, if it is soon. */
    private function closing(int $now): ?int
    {
        $soonest = null;
        foreach ($this->chances as $place => $earliest) {
            $step = $earliest - $now < self::CLOSING_SOON ? $this->awake[$place] ?? null : null;
            $closes = $step === null ? null : $this->holds->of($step)->closesAfter($now);
            if ($step !== null && $closes !== null && $closes - $now < self::CLOSING_SOON && ($soonest === null || [$closes, $place] < $soonest) && $this->moments->startOf($step, $now) <= $now) {
                $soonest = [$closes, $place];
            }
        }

        return $soonest[1] ?? null;
    }

    /** The first that is sprayed with the paint in the gun. */
    private function loaded(int $now): ?int
    {
        $paint = $this->gun->loadedWith($now);
        foreach ($paint === null ? [] : array_intersect_key($this->awake, $this->byPaint[$paint] ?? []) as $place => $step) {
            if ($this->moments->startOf($step, $now) <= $now) {
                return $place;
            }
        }

        return null;
    }
}
