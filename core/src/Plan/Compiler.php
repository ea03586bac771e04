<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Promise;
use AmberStep\Core\Timing\Timed;

/** From problems to plans in somebody's time. Deterministic: same input, same plan, to the byte. */
final readonly class Compiler
{
    public function __construct(public RuleBook $rules)
    {
    }

    public static function ofTheTrade(): self
    {
        return new self(RuleBook::ofTheTrade());
    }

    /** One problem may be put into several calendars: it stays as it is. */
    public function plan(Problem $problem, Calendar $calendar): Plan
    {
        return $this->plans([$problem], $calendar, $problem->context->nowEpoch)->byBuild[0];
    }

    /**
     * Several builds in one time.
     *
     * @param  array<array-key, Problem|Neighbour>  $builds  in the user's order, one problem at least; of neighbours no plan is made
     * @param  Bench  $bench  guns, cabinet and places the user has
     * @param  Promise  $promise  what the hands were told when they were last asked
     */
    public function plans(array $builds, Calendar $calendar, int $nowEpoch, Bench $bench = new Bench, Hints $hints = new Hints, Promise $promise = new Promise): Plans
    {
        $timetable = new Timetable($builds, $this->rules, $calendar, $nowEpoch, $bench, $hints, $promise);
        $gun = $timetable->atTheGun();
        $plans = [];
        foreach ($timetable->threads as $id => $thread) {
            $plans[$id] = $this->judged($thread, $timetable->planned[$id] ?? [], $gun->cleaning((string) $id), $gun->cups((string) $id), $calendar, $timetable->timed);
        }

        return new Plans($plans, $timetable, $gun);
    }

    /**
     * @param  array<string, \AmberStep\Core\Step\PlannedStep>  $planned
     * @param  list<\AmberStep\Core\Step\PlannedStep>  $cleaning
     * @param  list<\AmberStep\Core\Step\PlannedStep>  $cups
     */
    private function judged(Thread $thread, array $planned, array $cleaning, array $cups, Calendar $calendar, Timed $timed): Plan
    {
        $context = $thread->context;
        $problem = $thread->problem;
        $outlook = new Outlook($context, $planned, $thread->world->surface, $problem->waits, $problem->breaches, $problem->sequence->circles);
        $aspects = new Aspects($context, $planned, $context->room, $context->nowEpoch);
        $validity = new Validity($context, $calendar);

        return new Plan(
            $context, $planned, (new Judgement($this->rules))->findings($outlook), $aspects->ofPieces(), (new HoldLine($context, $aspects))->running($planned, $context->nowEpoch),
            $context->nowEpoch, $thread->world->surface, $cleaning, $cups, $validity->ofTimes($planned, $timed), $validity->ofHolds($planned),
        );
    }
}
