<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;

/** What comes of one way of deciding: ranks, put-offs and loading, followed to the end and told how good it is. */
final readonly class Ways
{
    /** Seconds a mask comes off before it has to: with every rule asked it may be an evening later. */
    public const SPARE = 86400;

    /** What comes of the plan's order, nothing put off. */
    private Trial $plain;

    /** How many masks may stay on for too long: as many as do when nothing is put off. */
    public int $overstays;

    public function __construct(private Tasks $tasks, private Calendar $calendar, private WorkClock $clock, private int $now, private Bench $bench)
    {
        $timed = $this->timed(array_keys($tasks->keys), [], Loading::AsItComes) ?? throw new \LogicException('the order of the plan leads to its end');
        $this->overstays = $timed->overstays($tasks, self::SPARE);
        $this->plain = new Trial(array_keys($tasks->keys), [], Loading::AsItComes, $timed, $this->score($timed));
    }

    public function plain(): Trial
    {
        return $this->plain;
    }

    public function by(Hints $hints): ?Trial
    {
        return $this->of($hints->ranks($this->tasks), $hints->putOffs(array_flip($this->tasks->keys)), $hints->loading);
    }

    /**
     * @param  array<int, int>  $rank
     * @param  array<int, int>  $putOff
     * @return Trial|null null where what is put off never comes, or a mask stays on for too long by it
     */
    public function of(array $rank, array $putOff, Loading $loading): ?Trial
    {
        $timed = $this->timed($rank, $putOff, $loading);

        return $timed === null ? null : $this->asOrdered($timed, $rank, $putOff, $loading);
    }

    /**
     * @param  array<int, int>  $rank
     * @param  array<int, int>  $putOff
     */
    public function asOrdered(Timed $timed, array $rank = [], array $putOff = [], Loading $loading = Loading::AsItComes): ?Trial
    {
        return $timed->overstays($this->tasks, self::SPARE) > $this->overstays ? null : new Trial($rank, $putOff, $loading, $timed, $this->score($timed));
    }

    /**
     * @param  array<int, int>  $rank
     * @param  array<int, int>  $putOff
     */
    private function timed(array $rank, array $putOff, Loading $loading): ?Timed
    {
        $timed = (new Dispatcher($this->tasks, $this->calendar, $this->clock, $this->now, $this->bench, $rank, $putOff, $loading))->run();

        return count($timed->order) < $this->tasks->count() ? null : $timed;
    }

    private function score(Timed $timed): Score
    {
        return Score::of($timed, $this->tasks, $this->calendar, $this->now, $this->bench->due);
    }
}
