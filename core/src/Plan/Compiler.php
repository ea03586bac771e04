<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Timing\Calendar;

/** From a problem to a plan in somebody's time. Deterministic: same input, same plan, to the byte. */
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
        $context = $problem->context;
        $world = new World($context->kit, $context->house, $context->breakdown, clone $context->surface, $problem->waits, $context->nowEpoch);
        $scheduler = new Scheduler($context, $world, $this->rules, $problem->sequence, $calendar, $context->room);
        $planned = $scheduler->run($problem->left);
        $outlook = new Outlook($context, $planned, $world->surface, $problem->waits, $problem->breaches, $problem->sequence->circles);
        $aspects = new Aspects($context, $planned, $context->room, $context->nowEpoch);
        $validity = new Validity($context, $calendar);

        return new Plan(
            $context, $planned, (new Judgement($this->rules))->findings($outlook), $aspects->ofPieces(), (new HoldLine($context, $aspects))->running($planned, $context->nowEpoch),
            $context->nowEpoch, $world->surface, $scheduler->cleaning(), $scheduler->cups(), $validity->ofTimes($planned), $validity->ofHolds($planned),
        );
    }
}
