<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;

/** Times tasks in an order that is given: each is begun as soon as the one before is done and nothing holds it. */
final readonly class Sequence
{
    public function __construct(private Tasks $tasks, private Calendar $calendar, private WorkClock $clock, private int $now, private Bench $bench = new Bench)
    {
    }

    /**
     * @param  list<int>  $order  all tasks
     * @return Timed|null null where one comes before what it waits for
     */
    public function timed(array $order): ?Timed
    {
        $hands = new Hands($this->tasks, $this->calendar, $this->clock, $this->now, $this->bench);
        foreach ($order as $i) {
            if ($hands->held->open[$i] > 0) {
                return null;
            }
            $hands->take($i, $hands->now);
        }
        $hands->finish();

        return Timed::by($hands);
    }
}
