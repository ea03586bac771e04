<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** Orders to begin a search with: the trade's, and what the longest work and waits hang on first. */
final readonly class StartLists
{
    public function __construct(private Tasks $tasks, private Calendar $calendar)
    {
    }

    /** @return iterable<list<int>> rank of each task */
    public function ranks(): iterable
    {
        yield array_keys($this->tasks->keys);
        yield $this->byTail();
    }

    /** @return list<int> rank of each task, the one with the longest tail of work and waits first */
    private function byTail(): array
    {
        $tail = $this->tails();
        $order = array_keys($tail);
        usort($order, static fn (int $a, int $b): int => [$tail[$b], $a] <=> [$tail[$a], $b]);
        $rank = array_flip($order);
        ksort($rank);

        return array_values($rank);
    }

    /** @return list<float> seconds from the begin of each task to the end of what hangs on it, work spread over the week's sessions */
    private function tails(): array
    {
        $perWork = $this->calendar->secondsPerWorked();
        $tail = [];
        // The plan's order has what comes before before: from its end each finds what hangs on it.
        for ($i = $this->tasks->count() - 1; $i >= 0; $i--) {
            $after = 0.0;
            foreach ($this->tasks->unlocks[$i] as $next) {
                $after = max($after, $tail[$next] ?? 0.0);
            }
            foreach ($this->tasks->arcs[$i] as [$to, $work]) {
                $after = max($after, isset($tail[$to]) ? 60 * $work + $tail[$to] : 0.0);
            }
            $tail[$i] = $after + $perWork * $this->tasks->seconds[$i];
        }
        ksort($tail);

        return array_values($tail);
    }
}
