<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** A promise as tasks that are left. */
final readonly class Told
{
    /**
     * @param  non-empty-array<int, int>  $begins  promised begin of each task, in that order
     * @param  array<int, int>  $trusted  of those, whose holds are taken to end by then, whatever arcs say: they were asked of the rules
     * @param  list<int>  $sessions  ends of those that were known
     */
    public function __construct(public array $begins, public array $trusted, public array $sessions)
    {
    }

    /**
     * Less is trusted, where a walk found what holds longer.
     *
     * @param  array<int, int>  $starts  by task, as they were walked
     */
    public function trusting(array $starts, int $near): self
    {
        return new self($this->begins, array_filter($this->trusted, fn (int $task): bool => $starts[$task] <= $this->begins[$task] + $near, ARRAY_FILTER_USE_KEY), $this->sessions);
    }

    /** Whether all is done when it was promised to be, nearly. */
    public function isKeptBy(Timed $timed, int $near): bool
    {
        foreach ($this->begins as $i => $begin) {
            if (abs($timed->start[$i] - $begin) > $near) {
                return false;
            }
        }

        return true;
    }

    /** Whether something is done in another session than was promised, or something new among it. */
    public function isLeftBy(Timed $timed, Calendar $calendar): bool
    {
        $last = max($this->begins);
        foreach ($timed->start as $i => $start) {
            if (isset($this->begins[$i]) ? $calendar->endsAt($start) !== $calendar->endsAt($this->begins[$i]) : $start < $last) {
                return true;
            }
        }

        return false;
    }
}
