<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Timing\Show;

/** One build on its way to the show: what keeps it waiting through the nights, when it is ready and how much it has to spare. */
final readonly class Run
{
    /**
     * @param  int|null  $readyEpoch  null: nothing is left to do
     * @param  int|null  $spareSeconds  at the bench; less than none: late by so much; null where it has no show, or no step is left
     * @param  int  $soonestEpoch  before which no order of work has it ready
     * @param  list<Night>  $nights  by time
     * @param  list<string>  $thread  keys of the steps that decide
     */
    public function __construct(public string $build, public string $name, public ?int $readyEpoch, public ?Show $show, public ?int $spareSeconds, public int $soonestEpoch, public array $nights, public array $thread)
    {
    }

    public function isLate(): bool
    {
        return $this->daysLate() > 0;
    }

    /** Whole days by which it is ready too late, begun ones too. */
    public function daysLate(): int
    {
        return $this->show === null || $this->readyEpoch === null ? 0 : $this->show->daysLate($this->readyEpoch);
    }
}
