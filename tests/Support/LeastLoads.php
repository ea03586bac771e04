<?php

declare(strict_types=1);

namespace Tests\Support;

use AmberStep\Core\Timing\InGuns;
use AmberStep\Core\Timing\Tasks;

/**
 * How few minutes of rinsing and mixing any order could do with: of each paint the most coats in a row of which each comes
 * so long after the one before it, by what waits for what, that they lie in different sessions; each is a loading. Within a
 * session a gun may be kept wet by other coats. Knows neither hands nor guns, so no plan is below it.
 */
final readonly class LeastLoads
{
    /** @var array<int, array<int, int>> seconds from the end of a task to the begin of one that waits for it */
    private array $after;

    /** @var list<int> tasks, each after all it waits for */
    private array $order;

    /** @param  int  $longest  session, seconds */
    public function __construct(private Tasks $tasks, private int $longest)
    {
        $after = $waits = array_fill(0, $tasks->count(), []);
        for ($i = 0; $i < $tasks->count(); $i++) {
            foreach ($tasks->unlocks[$i] as $next) {
                $after[$i][$next] ??= 0;
            }
            foreach ($tasks->arcs[$i] as [$next, $work, , $from]) {
                $after[$i][$next] = max($after[$i][$next] ?? 0, $from > 0 ? 0 : (int) (60 * $work));
            }
            foreach (array_keys($after[$i]) as $next) {
                $waits[$next][$i] = true;
            }
        }
        $open = array_map(count(...), $waits);
        $order = array_keys(array_filter($open, static fn (int $n): bool => $n === 0));
        for ($at = 0; isset($order[$at]); $at++) {
            foreach (array_keys($after[$order[$at]]) as $next) {
                if (--$open[$next] === 0) {
                    $order[] = $next;
                }
            }
        }
        [$this->after, $this->order] = [$after, $order];
    }

    public function minutes(): float
    {
        $seconds = 0;
        foreach ($this->tasks->paints as $p => $paint) {
            $loads = $paint->gun ? $this->loads($p) : 0;
            $seconds += $loads * min($paint->clean, $paint->cleanLast) + InGuns::MIXING * ($paint->keeps < $this->longest ? $loads : min(1, $loads));
        }

        return $seconds / 60;
    }

    private function loads(int $paint): int
    {
        $row = [];
        foreach ($this->order as $i) {
            if ($this->tasks->paint[$i] !== $paint) {
                continue;
            }
            $row[$i] ??= 1;
            foreach ($this->soonestAfter($i) as $next => $seconds) {
                if ($this->tasks->paint[$next] === $paint && $seconds - $this->tasks->seconds[$next] > $this->longest) {
                    $row[$next] = max($row[$next] ?? 1, $row[$i] + 1);
                }
            }
        }

        return max([0, ...$row]);
    }

    /** @return array<int, int> seconds from the end of a task to the soonest end of each after it */
    private function soonestAfter(int $i): array
    {
        $ends = [$i => 0];
        foreach ($this->order as $at) {
            foreach (isset($ends[$at]) ? $this->after[$at] : [] as $next => $wait) {
                $ends[$next] = max($ends[$next] ?? 0, $ends[$at] + $wait + $this->tasks->seconds[$next]);
            }
        }
        unset($ends[$i]);

        return $ends;
    }
}
