<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;

/** The holds of one step, as the planner asks them: when is it free, when does its chance close. */
final readonly class StepHolds
{
    /** @var list<Hold> those that forbid it for a time */
    private array $shut;

    /** @var list<int> when a chance closes */
    private array $closes;

    /** @param  list<Hold>  $holds */
    public function __construct(public array $holds)
    {
        $shut = $closes = [];
        foreach ($holds as $hold) {
            if ($hold->untilEpoch > $hold->fromEpoch) {
                $shut[] = $hold;
            }
            if ($hold->isChance()) {
                $closes[] = $hold->fromEpoch;
            }
        }
        $this->shut = $shut;
        $this->closes = $closes;
    }

    /** The first moment from $epoch on at which nothing forbids it. */
    public function freeFrom(int $epoch): int
    {
        return PlannedStep::firstFree($this->shut, $epoch);
    }

    /** When the next chance closes; null where none does. */
    public function closesAfter(int $epoch): ?int
    {
        $soonest = null;
        foreach ($this->closes as $close) {
            if ($close > $epoch && ($soonest === null || $close < $soonest)) {
                $soonest = $close;
            }
        }

        return $soonest;
    }
}
