<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Drying\Room;
use AmberStep\Core\Drying\Waits;
use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Parking;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Progress;
use AmberStep\Core\Layering\StepBuilder;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\Experience;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Breach;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Timing\Calendar;

/** The passes from a kit and a log to a plan. Deterministic: same input, same plan, to the byte. */
final class Compiler
{
    /** A breach of less than this is the thickness of a thumb. */
    private const GRACE_SECONDS = 60;

    public function __construct(private readonly ?RuleBook $book = null)
    {
    }

    /** @param  list<Event>  $events */
    public function compile(Kit $kit, HouseRules $house, Shelf $shelf, array $events, Room $room, Calendar $calendar, int $nowEpoch, Experience $experience = new Experience): Plan
    {
        $kit = Parking::active($kit);
        $rules = $this->book ?? RuleBook::ofTheTrade();
        $clock = new WorkClock($room);
        $breakdown = new Breakdown($kit, $house);
        $standing = array_values(array_filter(Log::standing($events), static fn (Event $e): bool => $e->atEpoch <= $nowEpoch));
        [$surface, $breaches] = $this->replay($standing, $kit, $house, $shelf, $breakdown, $clock, $rules, $nowEpoch, $experience);
        $steps = (new StepBuilder($kit, $house, $shelf, $breakdown, $surface))->build();
        $context = new Context($kit, $house, $shelf, $breakdown, $steps, $surface, $room, $nowEpoch, $experience);
        $sequence = new Sequencer($steps->all(), self::constraints($rules, $context));
        $order = $sequence->order();
        $progress = new Progress($kit, $breakdown, $steps, $surface);
        $left = [];
        foreach ($order as $key) {
            $step = $progress->left($steps->all()[$key]);
            if ($step !== null) {
                $left[$key] = $step;
            }
        }
        $waits = new Waits($clock, $surface->learned);
        $world = new World($kit, $house, $breakdown, clone $surface, $waits, $nowEpoch);
        $scheduler = new Scheduler($context, $world, $rules, $sequence, $calendar, $room);
        $planned = $scheduler->run($left);
        $outlook = new Outlook($context, $planned, $world->surface, $waits, $standing, $breaches, $sequence->circles);
        $aspects = new Aspects($context, $planned, $room, $nowEpoch);
        $pieces = $aspects->ofPieces();

        return new Plan($context, $planned, (new Judgement($rules))->findings($outlook), $pieces, (new HoldLine($context, $aspects))->running($planned, $nowEpoch), $nowEpoch, $world->surface, $scheduler->cleaning(), $scheduler->cups());
    }

    /** @return iterable<Constraint> */
    private static function constraints(RuleBook $rules, Context $context): iterable
    {
        foreach ($rules->orders as $rule) {
            yield from $rule->order($context);
        }
    }

    /**
     * Folds the log, and asks the hold rules of each event whether it was time for it.
     *
     * @param  list<Event>  $events
     * @return array{ModelState, list<Breach>}
     */
    private function replay(array $events, Kit $kit, HouseRules $house, Shelf $shelf, Breakdown $breakdown, WorkClock $clock, RuleBook $rules, int $nowEpoch, Experience $experience): array
    {
        $breaches = [];
        $waits = null;
        $surface = Log::replay($events, $kit, $shelf, $nowEpoch, static function (Event $event, ModelState $before) use (&$breaches, &$waits, $kit, $house, $shelf, $breakdown, $clock, $rules): void {
            $step = StepEvent::asStep($event, $breakdown, $shelf->find($event->product));
            if ($step === null) {
                return;
            }
            $world = new World($kit, $house, $breakdown, $before, $waits ??= new Waits($clock, $before->learned), $event->atEpoch);
            foreach ($rules->holding($step->operation) as $rule) {
                foreach ($rule->holds($step, $world) as $hold) {
                    if ($hold->covers($event->atEpoch) && $hold->untilEpoch - $event->atEpoch > self::GRACE_SECONDS) {
                        $breaches[] = new Breach($event, $hold);
                    }
                }
            }
        }, $experience);

        return [$surface, $breaches];
    }
}
