<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** How much is left of a session while tasks are timed, and what still fits into it. */
final class SessionLeft
{
    /** When the guns would be clean, if they were cleaned as soon as the hands were free. */
    public int $clean = 0;

    /** When the session ends that is looked at. */
    private int $ends = 0;

    /** Seconds above which a task is not looked at: it does not fit into this session any more. */
    private int $fits = PHP_INT_MAX;

    /** @var array<int, array{int, bool, int}> the session a task was found not to fit into, whether the guns were clean, and how often they were cleaned or mixed for by then: no more of it is left later */
    private array $full = [];

    public function __construct(private readonly Tasks $tasks, private readonly Calendar $calendar, private readonly Hands $hands)
    {
    }

    public function look(int $at): void
    {
        $this->ends = $this->calendar->endsAt($at);
        $left = $this->ends - $at;
        // What is longer than any session is begun in whatever is left of one; a session that has not begun has room for all.
        $this->clean = $this->hands->now + $this->hands->guns->cleaningAfter(-1);
        $this->fits = $left > 0 && $left < $this->calendar->longest() ? $left - max(0, $this->clean - $at) : PHP_INT_MAX;
    }

    /** Whether what a task takes is left, beside what a sitting that is begun still needs. */
    public function hasRoomFor(int $i): bool
    {
        $takes = $this->tasks->seconds[$i] - $this->tasks->water[$i];
        $rest = isset($this->hands->sitting->left[$i]) || $takes + $this->hands->sitting->rest > $this->calendar->longest() ? 0 : $this->hands->sitting->rest;

        return $takes + $rest <= $this->fits || $takes >= $this->calendar->longest() || $this->tasks->fixed[$i] !== null;
    }

    /** Whether a task may be begun at a moment, in the session looked at, the guns cleaned first where there is time for it. */
    public function opens(int $i, int $at): bool
    {
        $session = [$this->ends, $at >= $this->clean, count($this->hands->guns->done)];
        if (($this->full[$i] ?? null) === $session) {
            return false;
        }
        $begin = $this->hands->startOf($i, $at);
        $begin = $begin > $at && $at >= $this->clean ? $this->hands->opensAt($i, $at, $begin) : $begin;
        if ($begin >= $this->ends) {
            $this->full[$i] = $session;
        }

        return $begin <= $at;
    }
}
