<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Mixing\Need;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Timing\Tasks;

/** A build as another's timetable sees it: what is to be done and what it waits for, without a rule to be asked. */
final readonly class Neighbour
{
    /** @param  list<Need|null>  $needs  what each task takes of its paint */
    public function __construct(public Tasks $tasks, public array $needs)
    {
    }

    /** @param  Thread  $thread  at its beginning; it is walked to its end */
    public static function of(Thread $thread, string $build): self
    {
        return new self(Harvest::of($thread, $build), array_map(static fn (Step $step): ?Need => self::need($step, $thread), $thread->steps));
    }

    /** As far as it matters for the coming evenings. */
    public function first(int $many): self
    {
        return $many >= $this->tasks->count() ? $this : new self($this->tasks->first($many), array_slice($this->needs, 0, $many));
    }

    public static function need(Step $step, Thread $thread): ?Need
    {
        $context = $thread->context;

        return $step->isSprayed() ? SetUp::of($step, $context->kit, $context->house, $context->experience->uses)?->need : null;
    }
}
