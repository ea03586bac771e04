<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use SplMinHeap;

/**
 * Which of the steps that may be done next are awake, in the plan's order, and when each of the others wakes. They lie
 * by how long they take, so that at the end of a session what does not fit into it any more is not looked at.
 */
final class Sleepers
{
    /** @var array<int, true> by place in the plan's order */
    private array $awake = [];

    /** @var array<int, int> when each of the others wakes, by place */
    private array $asleep = [];

    /** @var SplMinHeap<array{int, int}> when one wakes, and its place; those that woke or were set anew since are passed over */
    private SplMinHeap $alarms;

    /** @var array<int, SplMinHeap<int>> places of those awake, the lowest first, by whole minutes; those that are not any more are passed over */
    private array $inOrder = [];

    /** @var array<int, int> whole minutes by place */
    private array $minutes = [];

    /** @var list<int> places looked at in this round */
    private array $looked = [];

    public function __construct()
    {
        $this->alarms = new SplMinHeap;
    }

    /** @param  int  $minutes  it takes at least */
    public function add(int $place, int $minutes): void
    {
        $this->minutes[$place] = $minutes;
        /** @var SplMinHeap<int> $none */
        $none = new SplMinHeap;
        $this->inOrder[$minutes] ??= $none;
    }

    public function awaken(int $place): void
    {
        unset($this->asleep[$place]);
        if (! isset($this->awake[$place])) {
            $this->awake[$place] = true;
            $this->inOrder[$this->minutes[$place]]->insert($place);
        }
    }

    /** Sleeps until a moment; where that is not to come, it is awake. */
    public function sleep(int $place, int $until, int $now): void
    {
        if ($until <= $now) {
            $this->awaken($place);
        } elseif (($this->asleep[$place] ?? null) !== $until) {
            unset($this->awake[$place]);
            $this->asleep[$place] = $until;
            $this->alarms->insert([$until, $place]);
        }
    }

    /** Neither awake nor going to be: it is done, or another is looked at in its stead. */
    public function drop(int $place): void
    {
        unset($this->awake[$place], $this->asleep[$place]);
    }

    public function isAwake(int $place): bool
    {
        return isset($this->awake[$place]);
    }

    /**
     * @template T
     *
     * @param  array<int, T>  $places  by place
     * @return array<int, T> those awake
     */
    public function among(array $places): array
    {
        return array_intersect_key($places, $this->awake);
    }

    /** Wakes those whose time has come, and begins a round: all awake are looked at again. */
    public function begin(int $now): void
    {
        while (! $this->alarms->isEmpty() && $this->alarms->top()[0] <= $now) {
            [$at, $place] = $this->alarms->extract();
            if (($this->asleep[$place] ?? null) === $at) {
                $this->awaken($place);
            }
        }
        foreach ($this->looked as $place) {
            if (isset($this->awake[$place])) {
                $this->inOrder[$this->minutes[$place]]->insert($place);
            }
        }
        $this->looked = [];
    }

    /** @return int|null the lowest place awake that was not looked at in this round, among those that take no more than so many minutes */
    public function look(float $minutes): ?int
    {
        $lowest = null;
        foreach ($this->inOrder as $takes => $places) {
            $first = $takes <= $minutes ? $this->first($places) : null;
            $lowest = $first !== null && ($lowest === null || $first < $lowest[0]) ? [$first, $places] : $lowest;
        }
        if ($lowest === null) {
            return null;
        }
        $lowest[1]->extract();

        return $this->looked[] = $lowest[0];
    }

    /** Whether some are awake that were not looked at in this round. */
    public function isAnyLeft(): bool
    {
        foreach ($this->inOrder as $places) {
            if ($this->first($places) !== null) {
                return true;
            }
        }

        return false;
    }

    /** @param  SplMinHeap<int>  $places */
    private function first(SplMinHeap $places): ?int
    {
        while (! $places->isEmpty()) {
            if (isset($this->awake[$places->top()])) {
                return $places->top();
            }
            $places->extract();
        }

        return null;
    }

    /** @return int|null when the next of those asleep wakes */
    public function nextAlarm(): ?int
    {
        while (! $this->alarms->isEmpty()) {
            [$at, $place] = $this->alarms->top();
            if (($this->asleep[$place] ?? null) === $at) {
                return $at;
            }
            $this->alarms->extract();
        }

        return null;
    }
}
