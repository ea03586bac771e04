<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** Tasks put into time: in which order, when each begins and ends, and what is done at the guns for them. */
final readonly class Timed
{
    /**
     * @param  list<int>  $order  tasks as the hands take them
     * @param  array<int, int>  $start
     * @param  array<int, int>  $end
     * @param  list<array{bool, int, int, int, int}>  $gun  whether it is a cleaning (else a mixing), paint, begin, end, task it comes before (-1: none)
     * @param  array<int, int>  $lets  when nothing held each any more, while the hands were free
     * @param  array<int, int>  $spare  of what begins a sitting: seconds by which it might begin later in its session
     */
    public function __construct(public array $order, public array $start, public array $end, public array $gun, public array $lets, public array $spare = [])
    {
    }

    public static function by(Hands $hands): self
    {
        return new self(array_keys($hands->end), $hands->start, $hands->end, $hands->guns->done, $hands->lets, $hands->spare);
    }

    /**
     * How many masks stay on for longer than they may.
     *
     * @param  int  $spare  seconds by which each should come off sooner, but not sooner than half way
     */
    public function overstays(Tasks $tasks, int $spare = 0): int
    {
        $many = 0;
        foreach ($tasks->comesOff as $off => [$on, $seconds]) {
            $until = $on < 0 ? $seconds - $spare : $this->end[$on] + $seconds - min($spare, intdiv($seconds, 2));
            $many += $this->start[$off] > $until ? 1 : 0;
        }

        return $many;
    }

    /** Seconds at the guns that are not spraying. */
    public function gunSeconds(): int
    {
        $seconds = 0;
        foreach ($this->gun as [, , $begin, $end]) {
            $seconds += $end - $begin;
        }

        return $seconds;
    }
}
