<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** What the hands were told when they were last asked: when each task is begun, in all builds. It stays unless something speaks against it (handbook 10, calm). */
final readonly class Promise
{
    /**
     * @param  array<string, int>  $begins  by key of the task, epoch seconds: after the mixing for it
     * @param  array<string, int>  $lets  by key, when nothing held it any more while the hands were free
     * @param  list<int>  $sessions  ends of those that were known
     */
    public function __construct(public array $begins = [], public array $lets = [], public array $sessions = [])
    {
    }

    /** What hands are told by a timetable. */
    public static function by(Timed $timed, Tasks $tasks, Calendar $calendar): self
    {
        $begins = $lets = $sessions = [];
        foreach ($timed->order as $i) {
            $lets[$tasks->keys[$i]] = $timed->lets[$i];
            $begins[$tasks->keys[$i]] = $timed->start[$i];
        }
        for ($at = $begins === [] ? 0 : min($begins), $last = $begins === [] ? 0 : max($begins); $at <= $last; $at = $calendar->nextAfter(max($at, end($sessions) - 1))) {
            $sessions[] = $calendar->endsAt($at);
        }

        return new self($begins, $lets, $sessions);
    }

    /** @param  array<string, int>  $places  number of each task that is left, by key */
    public function of(array $places): ?Told
    {
        $begins = $lets = [];
        foreach ($this->begins as $key => $begin) {
            if (isset($places[$key])) {
                $begins[$places[$key]] = $begin;
                $lets[$places[$key]] = $this->lets[$key] ?? $begin;
            }
        }
        asort($begins);

        return $begins === [] ? null : new Told($begins, $lets, $this->sessions);
    }
}
