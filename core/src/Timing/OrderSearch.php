<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Goes on where a search of ways to decide found nothing better: looks for a better order of all that is left, and for how
 * little has to be put off to keep to it. What is planned for the coming two sessions stays. A fixed number of trials from a
 * fixed seed, as there.
 */
final class OrderSearch
{
    /** Trials, where there are few tasks and where there are many. */
    private const MOST = 24000;

    private const LEAST = 4000;

    /** Tasks times trials that are worth the time. */
    private const EFFORT = 14_000_000;

    public function __construct(private readonly Tasks $tasks, private readonly Calendar $calendar, private readonly WorkClock $clock, private readonly int $now, private readonly Bench $bench = new Bench, private readonly int $seed = 7, private readonly ?int $trials = null)
    {
    }

    /**
     * @param  Hints  $before  what was found last: it stays where nothing better is found
     * @param  callable(): bool  $goesOn  asked now and then; what was found is thrown away where it says no
     * @return Hints|null null where it was told to stop
     */
    public function run(Hints $before, callable $goesOn): ?Hints
    {
        if ($this->tasks->count() <= Orders::FEW) {
            return $before;
        }
        $ways = new Ways($this->tasks, $this->calendar, $this->clock, $this->now, $this->bench);
        $calm = $ways->by($before) ?? $ways->plain();
        $watch = new Calm($this->calendar, $calm);
        $replay = new Replay($this->tasks, $this->calendar, $this->clock, $this->now, $this->bench);
        $latest = $this->bench->due === [] ? [] : (new LatestStarts($this->tasks, $calm->timed->order, $this->bench->due, $this->calendar, $this->clock))->of;
        $trials = $this->trials ?? max(self::LEAST, min(self::MOST, intdiv(self::EFFORT, $this->tasks->count())));
        $order = (new LongOrders($this->tasks, $ways, $replay, new Randomizer(new Mt19937($this->seed)), $latest, $watch->keeps($calm->timed->order)))->better($calm, $trials, $goesOn);
        $found = $order === null ? null : (new Keeping($this->tasks, $ways, $replay, $watch))->to($order, $goesOn);
        if (! $goesOn()) {
            return null;
        }

        return $found !== null && $watch->isWorth($found) ? $found->hints($this->tasks) : $before;
    }
}
