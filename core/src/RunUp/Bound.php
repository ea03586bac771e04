<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Log\CabinetStay;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Warmed;

/**
 * When each build is ready at the soonest, whatever is done first (handbook 10, How): the longest chain of work and waits
 * through the sessions, as if each task had hands of its own; and all of them not before the sessions hold the minutes they
 * take. No plan is below it.
 */
final readonly class Bound
{
    /** @var array<string, int> by build */
    public array $ready;

    /** When all are, at the soonest. */
    public int $all;

    /** @param  list<int>  $order  of the tasks, each after all it waits for */
    public function __construct(Tasks $tasks, array $order, Calendar $calendar, WorkClock $clock, int $now)
    {
        $free = array_fill(0, $tasks->count(), $now);
        $warmed = new Warmed($tasks);
        $ready = [];
        $hands = 0;
        foreach ($order as $i) {
            $build = (string) strstr($tasks->keys[$i], ' ', true);
            // Of a washing the water may be there; of what no session holds, one at least is filled.
            $seconds = $tasks->seconds[$i] - $tasks->water[$i];
            $hands += min($seconds, $calendar->longest());
            $end = $calendar->earliestFit(max($free[$i], $tasks->fixed[$i] ?? $now), $seconds / 60) + $seconds;
            foreach ($tasks->unlocks[$i] as $next) {
                $free[$next] = max($free[$next], $end);
            }
            foreach ($tasks->arcs[$i] as [$next, $work, $by, $from]) {
                // What goes into a warm place on the way may have been there all the time.
                $celsius = $warmed->between($i, $next);
                $free[$next] = $from > 0 ? $free[$next] : max($free[$next], $clock->endOf($end, $work, Tasks::dries($by), $celsius === null ? [] : [new CabinetStay($end, null, $celsius)]));
            }
            $ready[$build] = max($ready[$build] ?? $now, $end);
        }
        $this->ready = $ready;
        $this->all = max([$now, $calendar->filled($now, $hands), ...array_values($ready)]);
    }
}
