<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use SplMinHeap;

/** Which tasks may be looked at, in order of their ranks, and when each of the others wakes. */
final class Awake
{
    /** @var array<int, array<int, int>> those that may be, by rank: by paint what goes through a gun, all else under -1 */
    public array $all = [];

    /** @var array<int, int> how many have woken, by the same */
    public array $woken = [];

    /** @var array<int, true> of these, where one has woken since they were put in order */
    private array $fresh = [];

    /** @var SplMinHeap<array{int, int}> when a task wakes */
    private SplMinHeap $asleep;

    /** @var array<int, true> */
    private array $done = [];

    /** @param  array<int, int>  $rank */
    public function __construct(private readonly Tasks $tasks, private readonly array $rank)
    {
        $this->asleep = new SplMinHeap;
    }

    public function sleep(int $i, int $until): void
    {
        $this->asleep->insert([$until, $i]);
    }

    public function wake(int $now): void
    {
        while (! $this->asleep->isEmpty() && $this->asleep->top()[0] <= $now) {
            $i = $this->asleep->extract()[1];
            if (isset($this->done[$i])) {
                continue;
            }
            $of = $this->kind($i);
            $this->all[$of][$this->rank[$i]] = $i;
            $this->fresh[$of] = true;
            $this->woken[$of] = ($this->woken[$of] ?? 0) + 1;
        }
        foreach ($this->fresh as $of => $_) {
            ksort($this->all[$of]);
        }
        $this->fresh = [];
    }

    /** When the next of those asleep wakes; never where all are awake. */
    public function nextAlarm(): int
    {
        return $this->asleep->isEmpty() ? PHP_INT_MAX : $this->asleep->top()[0];
    }

    public function has(int $i): bool
    {
        return isset($this->all[$this->kind($i)][$this->rank[$i]]);
    }

    public function drop(int $i): void
    {
        unset($this->all[$this->kind($i)][$this->rank[$i]]);
    }

    /** It is done, whether it was awake or not. */
    public function done(int $i): void
    {
        $this->drop($i);
        $this->done[$i] = true;
    }

    /** @return array<int, int> those of a paint, or of none (-1), by rank */
    public function of(int $paint): array
    {
        return $this->all[$paint] ?? [];
    }

    private function kind(int $i): int
    {
        $paint = $this->tasks->paint[$i];

        return $paint >= 0 && $this->tasks->paints[$paint]->gun ? $paint : -1;
    }
}
