<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;

/** How much time at the bench each build has to spare, and the thread: those of its tasks that have no more than that. */
final readonly class Slack
{
    /** Seconds at the bench by which a task may have more to spare than its build and is on the thread still. */
    private const ON_THREAD = 900;

    /** @var array<string, int> by build: seconds at the bench to spare; less than none: late by so much */
    public array $seconds;

    /** @var array<string, list<string>> by build: keys of the steps that decide, in their order */
    public array $thread;

    /** @param  array<int, int>  $latest  start of each task, by number */
    public function __construct(Tasks $tasks, Timed $timed, array $latest, Calendar $calendar)
    {
        $own = $least = [];
        foreach ($timed->order as $i) {
            if (isset($latest[$i])) {
                $build = (string) strstr($tasks->keys[$i], ' ', true);
                $start = $timed->start[$i];
                $own[$build][$i] = $latest[$i] >= $start ? $calendar->secondsAtBench($start, $latest[$i]) : -$calendar->secondsAtBench($latest[$i], $start);
                $least[$build] = min($least[$build] ?? PHP_INT_MAX, $own[$build][$i]);
            }
        }
        $thread = [];
        foreach ($own as $build => $seconds) {
            foreach ($seconds as $i => $spare) {
                if ($spare <= $least[$build] + self::ON_THREAD) {
                    $thread[$build][] = substr($tasks->keys[$i], strlen($build) + 1);
                }
            }
        }
        [$this->seconds, $this->thread] = [$least, $thread];
    }
}
