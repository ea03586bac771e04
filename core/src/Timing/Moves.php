<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use Random\Randomizer;

/** Small changes of what was decided, from which a search goes on: each drawn by lot. */
final readonly class Moves
{
    private Following $following;

    public function __construct(private Tasks $tasks, private Randomizer $random)
    {
        $this->following = new Following($tasks);
    }

    /**
     * One loading of a paint waits for the next: its first coat is put off until what the other begins with is ready.
     *
     * @param  array<int, int>  $rank
     * @param  array<int, int>  $putOff
     * @param  bool  $hurries  and what it waits for goes before all else, so that little is lost by it
     * @return array{array<int, int>, array<int, int>} ranks and put-offs
     */
    public function gathered(Trial $from, array $rank, array $putOff, bool $hurries = false): array
    {
        [$one, $next] = $this->loadings($from);
        foreach ($one as $task) {
            $putOff[$task] = $next[0];
        }
        // What the later one begins with goes on as it was: only the earlier waits.
        unset($putOff[$next[0] ?? -1]);

        return [$hurries ? $this->first($from, $rank, $next) : $rank, $putOff];
    }

    /**
     * What a later loading of a paint is for, and all it waits for, goes before what the earlier one is for.
     *
     * @param  array<int, int>  $rank
     * @return array<int, int>
     */
    public function hurried(Trial $from, array $rank): array
    {
        return $this->first($from, $rank, $this->loadings($from)[1]);
    }

    /** @return array{list<int>, list<int>} what is sprayed from one loading of a paint, and from the next; none where each is put into a gun once */
    private function loadings(Trial $from): array
    {
        $loads = $from->loads($this->tasks);
        if ($loads === []) {
            return [[], []];
        }
        $paint = array_keys($loads)[$this->random->getInt(0, count($loads) - 1)];
        $k = $this->random->getInt(0, count($loads[$paint]) - 2);

        return [$loads[$paint][$k], $loads[$paint][$k + 1]];
    }

    /**
     * @param  array<int, int>  $rank
     * @param  list<int>  $tasks  that go first, with all they wait for
     * @return array<int, int>
     */
    private function first(Trial $from, array $rank, array $tasks): array
    {
        $order = $from->timed->order;
        foreach ($tasks === [] ? [] : $this->following->sooner($order, 0, count($order) - 1, array_fill_keys($tasks, true)) as $place => $task) {
            $rank[$task] = $place;
        }

        return $rank;
    }

    /**
     * @param  array<int, int>  $putOff
     * @return array<int, int>
     */
    public function without(array $putOff): array
    {
        if ($putOff !== []) {
            $for = array_values(array_unique($putOff));
            $one = $for[$this->random->getInt(0, count($for) - 1)];
            $putOff = array_filter($putOff, static fn (int $each): bool => $each !== $one);
        }

        return $putOff;
    }

    /**
     * A task waits for one that is done soon after it.
     *
     * @param  array<int, int>  $putOff
     * @return array<int, int>
     */
    public function behind(Trial $from, array $putOff): array
    {
        $order = $from->timed->order;
        $at = $this->random->getInt(0, count($order) - 1);
        $for = $order[min(count($order) - 1, $at + $this->random->getInt(1, 6))];
        if ($for !== $order[$at]) {
            $putOff[$order[$at]] = $for;
        }

        return $putOff;
    }

    /**
     * A task goes before work it came after.
     *
     * @param  array<int, int>  $rank
     * @return array<int, int>
     */
    public function forward(Trial $from, array $rank): array
    {
        $order = $from->timed->order;
        $at = $this->random->getInt(0, count($order) - 1);
        $to = max(0, $at - $this->random->getInt(1, 30));
        $moved = array_splice($order, $at, 1);
        array_splice($order, $to, 0, $moved);
        foreach ($order as $place => $task) {
            $rank[$task] = $place;
        }

        return $rank;
    }
}
