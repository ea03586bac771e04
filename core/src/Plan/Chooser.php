<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/**
 * Chooses the next step among those that may be done: what closes soonest, then what is sprayed with the paint in
 * the gun, then the plan's own order. What is held sleeps until it may wake, so that only what is free is looked at.
 */
final class Chooser
{
    /** A chance that closes within this many seconds is taken before the plan's own order. */
    public const CLOSING_SOON = 3 * 3600;

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

    private readonly Sleepers $sleepers;

    private readonly HandlingQueue $queue;

    public function __construct(private readonly Moments $moments, private readonly HoldBook $holds, private readonly GunCare $gun)
    {
        $this->sleepers = new Sleepers;
        $this->queue = new HandlingQueue;
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
        $this->sleepers->add($place, $this->moments->atLeast($step));
        $this->settle($place, $now);
    }

    public function remove(int $place): void
    {
        $this->leaveQueue($place);
        $step = $this->steps[$place];
        foreach ($this->holds->piecesOf($step) as $piece) {
            unset($this->onPiece[$piece][$place]);
        }
        $this->sleepers->drop($place);
        unset($this->steps[$place], $this->chances[$place], $this->anywhere[$place], $this->washes[$place], $this->byPaint[$step->product->id ?? ''][$place]);
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
            $this->sleepers->begin($now);
            $later = PHP_INT_MAX;
            $fits = $this->moments->left($now);
            while (($place = $this->sleepers->look($fits) ?? $this->letPass($fits)) !== null) {
                $step = $this->steps[$place];
                $handled = isset($this->chances[$place]) ? null : $this->moments->handledFrom($step, $now);
                if ($handled !== null) {
                    $later = min($later, $handled);
                    $this->queueUp($place, $step->pieceId, $handled, $now);

                    continue;
                }
                $from = $this->moments->startOf($step, $now);
                if ($from <= $now) {
                    return [$this->closing($now) ?? $this->loaded($now) ?? $place, $now];
                }
                $later = min($later, $from);
                $this->sleepers->sleep($place, $from - Moments::lead($step), $now);
                $this->leaveQueue($place);
            }
            if ($this->sleepers->isAnyLeft()) {
                $later = min($later, $this->moments->nextSession($now));
            }
            $now = min($later, $this->sleepers->nextAlarm() ?? PHP_INT_MAX);
        }
    }

    /** Awake where something of it may be begun by now, asleep until then where not. */
    private function settle(int $place, int $now): void
    {
        $this->leaveQueue($place);
        $step = $this->steps[$place];
        $closes = $this->holds->of($step)->closesAfter($now);
        if ($closes === null) {
            unset($this->chances[$place]);
        } else {
            $this->chances[$place] = $closes;
        }
        $this->sleepers->sleep($place, $this->moments->asleepUntil($step, $now), $now);
    }

    /** Sleeps until its piece may be handled, or stands behind the joint that does. */
    private function queueUp(int $place, string $piece, int $until, int $now): void
    {
        $behind = $this->queue->enter($place, $piece);
        if ($behind !== null) {
            $this->sleepers->drop($behind);
        }
        if ($behind !== $place) {
            $this->sleepers->sleep($place, $until, $now);
        }
    }

    /** Where a joint does not fit into the session any more, those behind it may: the first that does. */
    private function letPass(float $fits): ?int
    {
        do {
            $late = array_filter($this->queue->firsts(), $this->sleepers->isAwake(...));
            foreach ($late as $place) {
                $this->leaveQueue($place);
            }
            $next = $this->sleepers->look($fits);
        } while ($next === null && $late !== []);

        return $next;
    }

    /** Leaves the joints of its piece, the next of which is looked at in its stead. */
    private function leaveQueue(int $place): void
    {
        $next = $this->queue->leave($place);
        if ($next !== null) {
            $this->sleepers->awaken($next);
        }
    }

    /** The one whose chance closes soonest, if it is soon. */
    private function closing(int $now): ?int
    {
        $soonest = null;
        foreach ($this->chances as $place => $earliest) {
            $step = $earliest - $now < self::CLOSING_SOON && $this->sleepers->isAwake($place) ? $this->steps[$place] : null;
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
        $with = $this->sleepers->among($this->byPaint[$paint ?? ''] ?? []);
        while ($with !== []) {
            $place = min(array_keys($with));
            if ($this->moments->startOf($this->steps[$place], $now) <= $now) {
                return $place;
            }
            unset($with[$place]);
        }

        return null;
    }
}
