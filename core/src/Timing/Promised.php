<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/**
 * Keeps to what was promised, while tasks are timed: each in its place and its session, what does not fit there any more
 * first in the next one. What is new comes before what waits for it. Where half an hour would pass idly that was not
 * promised to, the hands are free for something else.
 */
final class Promised
{
    /** Seconds by which a task may begin later than promised and still keep its place. */
    private const NEAR = 600;

    /** Seconds by which it may begin otherwise and still be what was promised. */
    private const ALIKE = 60;

    /** Seconds the hands would have to be idle for others to be taken before their time: so much is won by it. */
    private const IDLE = 1800;

    /** Nothing more is promised for this session, and too little is left of it for anything else. */
    public bool $rests = false;

    /** @var array<int, int> when the session ends each was promised for, of those that are left, in their order */
    private array $left = [];

    /** @var array<int, list<int>>|null what is new and comes before a task */
    private ?array $new = null;

    /** Something turned out otherwise than promised: only then may others fill what is idle by it. */
    private bool $differs;

    /** @var array<int, true> when sessions end that were known when it was promised */
    private array $sessions = [];

    public function __construct(private readonly Told $told, private readonly Tasks $tasks, private readonly Calendar $calendar, private readonly Hands $hands)
    {
        $this->sessions = array_fill_keys($told->sessions, true);
        foreach ($told->begins as $i => $begin) {
            $this->left[$i] = $calendar->endsAt($begin);
            $this->sessions[$this->left[$i]] = true;
        }
        $this->differs = count($told->begins) < $tasks->count();
        $this->hands->held->trusted = $told->trusted;
    }

    public function has(int $i): bool
    {
        return isset($this->left[$i]);
    }

    /** What is late moves on what follows it by as much. */
    public function taken(int $i, int $begin): void
    {
        if (isset($this->left[$i])) {
            unset($this->left[$i]);
            $late = $begin - $this->told->begins[$i];
            if ($this->hands->held->late !== null || abs($late) > self::ALIKE) {
                $this->hands->held->late = max($this->hands->held->late ?? 0, $late);
                $this->differs = true;
            }
        }
    }

    /** @return int|null the task that comes next by the promise, which may have to be waited for; null where it says nothing */
    public function next(int $at): ?int
    {
        $ends = $this->calendar->endsAt($at);
        $ends = $ends > $at ? $ends : $this->calendar->endsAt($this->calendar->nextAfter($at));
        $this->rests = false;
        $soonest = null;
        foreach ($this->left as $i => $session) {
            if ($session > $ends) {
                break;
            }
            $next = $this->ready($i);
            $begin = $next === null ? $ends : $this->hands->opensAt($next, $at);
            if ($next === null || $begin >= $ends) {
                continue;
            }
            if ($begin <= max($at, $this->told->begins[$i]) + self::NEAR) {
                return $next;
            }
            if ($soonest === null || $begin < $soonest[0]) {
                $soonest = [$begin, $next];
            }
        }
        if ($soonest !== null && $soonest[0] - $at < self::IDLE) {
            return $soonest[1];
        }
        $over = $this->left === [] || $this->left[array_key_first($this->left)] > $ends;
        $differs = $this->differs || $soonest !== null || ! $over || ! isset($this->sessions[$ends]);
        $this->rests = $soonest === null && $this->left !== [] && ($ends - $at < self::IDLE || ! $differs);
        if (! $this->rests) {
            // What is taken before its time is asked of the arcs.
            $this->hands->held->late ??= 0;
        }

        return null;
    }

    /** It itself, or what is new and comes before it; null where that waits too. */
    private function ready(int $i): ?int
    {
        if ($this->hands->held->open[$i] === 0) {
            return $i;
        }
        $seen = [$i => true];
        for ($queue = [$i]; $queue !== [];) {
            foreach ($this->newBefore((int) array_shift($queue)) as $new) {
                if (isset($this->hands->end[$new]) || isset($seen[$new])) {
                    continue;
                }
                if ($this->hands->held->open[$new] === 0) {
                    return $new;
                }
                $seen[$new] = true;
                $queue[] = $new;
            }
        }

        return null;
    }

    /** @return list<int> */
    private function newBefore(int $i): array
    {
        if ($this->new === null) {
            $this->new = [];
            foreach ($this->tasks->unlocks as $task => $next) {
                foreach (isset($this->told->begins[$task]) ? [] : $next as $one) {
                    $this->new[$one][] = $task;
                }
            }
        }

        return $this->new[$i] ?? [];
    }
}
