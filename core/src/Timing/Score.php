<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** How good a timetable is, by the order of what counts (handbook 10): less is better, what stands first outweighs all after it. */
final readonly class Score
{
    /**
     * @param  int  $gun  seconds at the guns that are not spraying
     * @param  int  $finishes  seconds from now to the end of each build, summed
     * @param  int  $evenings  sessions in which hands are at work
     */
    public function __construct(public int $gun, public int $finishes, public int $evenings)
    {
    }

    /** @param  Tasks  $tasks  keys name the build first */
    public static function of(Timed $timed, Tasks $tasks, Calendar $calendar, int $now): self
    {
        $finish = $evenings = [];
        foreach ($timed->end as $i => $end) {
            $build = strstr($tasks->keys[$i], ' ', true);
            $finish[$build] = max($finish[$build] ?? $now, $end);
            $evenings[$calendar->endsAt($timed->start[$i])] = true;
        }

        return new self($timed->gunSeconds(), (int) array_sum(array_map(static fn (int $end): int => $end - $now, $finish)), count($evenings));
    }

    public function isBetterThan(self $other): bool
    {
        return [$this->gun, $this->finishes, $this->evenings] < [$other->gun, $other->finishes, $other->evenings];
    }

    /** Whether so many seconds are won at a level, with none lost above it. */
    public function wins(self $other, int $seconds): bool
    {
        return $other->gun - $this->gun >= $seconds || ($this->gun <= $other->gun && $other->finishes - $this->finishes >= $seconds);
    }
}
