<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Step\Hold;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Hands;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;

/**
 * Tasks done in the order that was decided, every rule asked of those whose build is looked into. What by the rules no
 * longer fits into the session it was meant for comes first in the next; what else was meant for it stays.
 */
final class Walk
{
    private const MINUTE = 60;

    /** @var array<int, list<Hold>> of each task, as they were found */
    public array $holds = [];

    /** @var array<int, true> */
    private array $soft = [];

    /** Seconds by which a rule held something longer or shorter than the arcs had it. */
    public int $off = 0;

    /** @var list<string> keys of what a rule held longer than the arcs had it */
    public array $unheard = [];

    /**
     * @param  array<array-key, Thread>  $threads  by build, at their beginnings; they are walked to their ends
     * @param  list<array{string, int}>  $of  build and place in it, of each task
     */
    public function __construct(private readonly array $threads, private readonly Tasks $tasks, private readonly array $of, private readonly Calendar $calendar, private readonly Hands $hands)
    {
    }

    public function through(Timed $wanted): Timed
    {
        $later = [];
        $session = 0;
        // What lays a mask that may not stay long is kept to the session it was meant for, where all that belongs to it was found room.
        $this->soft = array_fill_keys(array_column($this->tasks->stays, 0), true);
        foreach ($wanted->order as $i) {
            $ends = $this->calendar->endsAt($wanted->start[$i]);
            if ($ends !== $session) {
                $this->catchUp($later);
                [$later, $session] = [[], $ends];
            }
            if ($this->fits($i, $wanted->start[$i], $ends)) {
                $this->take($i, isset($this->soft[$i]) && $this->calendar->endsAt($this->hands->now) < $ends ? $wanted->start[$i] : 0);
            } else {
                $later[] = $i;
            }
        }
        $this->catchUp($later);
        $this->hands->finish();

        return Timed::by($this->hands);
    }

    private function fits(int $i, int $wanted, int $ends): bool
    {
        if ($this->hands->held->open[$i] > 0) {
            return false;
        }
        $begin = $this->ask($i);

        return $ends <= $wanted || $this->hands->opensAt($i, $this->hands->now, $begin) < $ends;
    }

    /** @return int|null when it may be begun by its rules; null where they are not asked */
    private function ask(int $i): ?int
    {
        [$id, $place] = $this->of[$i];
        $thread = $this->threads[$id] ?? null;
        if ($thread === null) {
            return null;
        }
        $this->holds[$i] = $thread->holds($thread->steps[$place]);
        $by = $this->hands->startOf($i, $this->hands->now);
        $this->hands->held->tell($i, Thread::shut($this->holds[$i]), $this->hands->now);
        $begin = $this->hands->startOf($i, $this->hands->now);
        $late = $begin - $by;
        $this->off = max($this->off, abs($late));
        if ($late > self::MINUTE) {
            $this->unheard[] = $this->tasks->keys[$i];
        }

        return $begin;
    }

    /** @param  list<int>  $later  what did not fit */
    private function catchUp(array $later): void
    {
        foreach ($later as $i) {
            $this->take($i, 0, $this->ask($i));
        }
    }

    /**
     * @param  int  $from  not before
     * @param  int|null  $begin  when it may be begun, where that was just asked
     */
    private function take(int $i, int $from = 0, ?int $begin = null): void
    {
        [$id, $place] = $this->of[$i];
        $this->hands->take($i, max($this->hands->now, $from), $begin);
        if (isset($this->threads[$id])) {
            $this->threads[$id]->do($this->threads[$id]->steps[$place], $this->hands->end[$i]);
        }
    }
}
