<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** How good a timetable is, by the order of what counts (handbook 10): less is better, what stands first outweighs all after it. */
final readonly class Score
{
    /**
     * @param  int  $gun  seconds at the guns that are not spraying
     * @param  int  $finishes  seconds at the bench from now to the end of each build, used or not, summed
     * @param  int  $evenings  sessions in which hands are at work
     * @param  int  $detail  what tells apart what is alike otherwise
     */
    public function __construct(public int $gun, public int $finishes, public int $evenings, private int $detail = 0)
    {
    }

    /** Told apart from others by one more figure: all that is done a little earlier leads to what ends earlier. */
    public function inDetail(int $detail): self
    {
        return new self($this->gun, $this->finishes, $this->evenings, $detail);
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

        return new self($timed->gunSeconds(), (int) array_sum(array_map(static fn (int $end): int => $calendar->secondsAtBench($now, $end), $finish)), count($evenings));
    }

    public function isBetterThan(self $other): bool
    {
        return [$this->gun, $this->finishes, $this->evenings, $this->detail] < [$other->gun, $other->finishes, $other->evenings, $other->detail];
    }

    /** Whether so many seconds are won at a level, with none lost above it. */
    public function wins(self $other, int $seconds): bool
    {
        return $other->gun - $this->gun >= $seconds || ($this->gun <= $other->gun && $other->finishes - $this->finishes >= $seconds);
    }

    /** Minutes, a rinse told for as much as a long evening piece of work: for ways that lead over what is worse. */
    public function cost(): float
    {
        return $this->gun / 2 + $this->finishes / 60 + $this->detail / 600_000;
    }
}
