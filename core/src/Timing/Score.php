<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** How good a timetable is, by the order of what counts (handbook 10): less is better, what stands first outweighs all after it. */
final readonly class Score
{
    /** What outweighs all that is saved otherwise, minutes. */
    private const A_DAY_LATE = 100_000;

    /**
     * @param  int  $late  days by which builds miss their shows, summed, what stands first in the user's order counting most
     * @param  int  $gun  seconds at the guns that are not spraying
     * @param  int  $finishes  seconds at the bench from now to the end of each build, used or not, summed
     * @param  int  $evenings  sessions in which hands are at work
     * @param  int  $detail  what tells apart what is alike otherwise
     */
    public function __construct(public int $late, public int $gun, public int $finishes, public int $evenings, private int $detail = 0)
    {
    }

    /** Told apart from others by one more figure: all that is done a little earlier leads to what ends earlier. */
    public function inDetail(int $detail): self
    {
        return new self($this->late, $this->gun, $this->finishes, $this->evenings, $detail);
    }

    /**
     * @param  Tasks  $tasks  keys name the build first
     * @param  array<string, int>  $due  by when a build has to be ready, of those that have a show
     */
    public static function of(Timed $timed, Tasks $tasks, Calendar $calendar, int $now, array $due = []): self
    {
        $finish = $evenings = [];
        $builds = $tasks->builds();
        foreach ($timed->end as $i => $end) {
            $build = $builds[$i];
            $finish[$build] = max($finish[$build] ?? $now, $end);
            $evenings[$calendar->endsAt($timed->start[$i])] = true;
        }

        return new self(self::late($tasks, $finish, $due), $timed->gunSeconds(), (int) array_sum(array_map(static fn (int $end): int => $calendar->secondsAtBench($now, $end), $finish)), count($evenings));
    }

    /**
     * @param  array<string, int>  $finish  by build
     * @param  array<string, int>  $due
     */
    private static function late(Tasks $tasks, array $finish, array $due): int
    {
        $late = 0;
        if ($due === []) {
            return $late;
        }
        $builds = array_values(array_unique($tasks->builds()));
        foreach ($builds as $i => $build) {
            $over = ($finish[$build] ?? 0) - ($due[$build] ?? PHP_INT_MAX);
            $late += $over > 0 ? (count($builds) - $i) * (int) ceil($over / 86400) : 0;
        }

        return $late;
    }

    public function isBetterThan(self $other): bool
    {
        return [$this->late, $this->gun, $this->finishes, $this->evenings, $this->detail] < [$other->late, $other->gun, $other->finishes, $other->evenings, $other->detail];
    }

    /** Whether so many seconds are won at a level, with none lost above it. */
    public function wins(self $other, int $seconds): bool
    {
        return $this->late < $other->late || ($this->late === $other->late && ($other->gun - $this->gun >= $seconds || ($this->gun <= $other->gun && $other->finishes - $this->finishes >= $seconds)));
    }

    /** Minutes, a loading of a gun told for a hundred: for ways that lead over what is worse. */
    public function cost(): float
    {
        return self::A_DAY_LATE * $this->late + $this->gun / 6 + $this->finishes / 60 + $this->detail / 60_000;
    }
}
