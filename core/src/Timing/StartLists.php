<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/**
 * Orders to begin a search with: the trade's, what the longest work and waits hang on first, and, where there is a show,
 * what has to begin soonest for it.
 */
final readonly class StartLists
{
    /** Seconds after which a build is taken to be wanted that has no show. */
    private const SOME_DAY = 365 * 86400;

    /** @param  array<int, int>  $latest  when each task has to begin at the latest, of those whose build has a show */
    public function __construct(private Tasks $tasks, private Calendar $calendar, private int $now, private array $latest)
    {
    }

    /** @return iterable<list<int>> rank of each task */
    public function ranks(): iterable
    {
        yield array_keys($this->tasks->keys);
        yield self::by(array_map(static fn (float $tail): float => -$tail, $this->tails()));
        if ($this->latest !== []) {
            yield $this->forShows();
        }
    }

    /** @return list<int> rank of each task, the one that has to begin soonest for its show first */
    private function forShows(): array
    {
        $tails = $this->tails();

        return self::by(array_map(fn (float $tail, int $i): float => $this->latest[$i] ?? $this->now + self::SOME_DAY - $tail, $tails, array_keys($tails)));
    }

    /**
     * @param  array<int, float|int>  $figures  of each task
     * @return list<int> rank of each task, the one with the lowest figure first
     */
    private static function by(array $figures): array
    {
        $order = array_keys($figures);
        usort($order, static fn (int $a, int $b): int => [$figures[$a], $a] <=> [$figures[$b], $b]);
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
