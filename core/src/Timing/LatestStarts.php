<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Log\CabinetStay;

/**
 * When each task has to begin at the latest for its build to be ready in time (handbook 10, Slack and chance): counted
 * back from its show, over what waits for it and the sessions in which that can be done. One pair of hands is not counted,
 * so that whoever begins later misses it, whatever else is left undone.
 */
final readonly class LatestStarts
{
    /** @var array<int, int> by task, of those whose build has a show */
    public array $of;

    /**
     * @param  list<int>  $order  of the tasks, each after all it waits for
     * @param  array<string, int>  $due  by when each build has to be ready, by its id
     */
    public function __construct(private Tasks $tasks, array $order, array $due, private Calendar $calendar, private WorkClock $clock)
    {
        $latest = [];
        $warmed = new Warmed($tasks);
        foreach (array_reverse($order) as $i) {
            $end = $due[$tasks->builds()[$i]] ?? PHP_INT_MAX;
            foreach ($tasks->unlocks[$i] as $next) {
                $end = min($end, $latest[$next] ?? PHP_INT_MAX);
            }
            foreach ($tasks->arcs[$i] as [$next, $work, $by, $from]) {
                $end = $from > 0 || ! isset($latest[$next]) ? $end : min($end, $this->before($latest[$next], $work, $by, $warmed->between($i, $next)));
            }
            if ($end < PHP_INT_MAX) {
                $latest[$i] = $calendar->latestFit($end, $tasks->seconds[$i] - $tasks->water[$i]);
            }
        }
        $this->of = $latest;
    }

    /**
     * The last moment from which so much work is done by another: drying goes by the air there is then.
     *
     * @param  float|null  $celsius  of the warm place it may be in all the time
     */
    private function before(int $until, float $work, int $by, ?float $celsius): int
    {
        $dries = Tasks::dries($by);
        [$early, $late] = [$until - (int) (8 * 60 * $work) - 1, $until];
        while ($late - $early > 1) {
            $middle = intdiv($early + $late, 2);
            if ($this->clock->endOf($middle, $work, $dries, $celsius === null ? [] : [new CabinetStay($middle, null, $celsius)]) <= $until) {
                $early = $middle;
            } else {
                $late = $middle;
            }
        }

        return $early;
    }
}
