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
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Step\Breach;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Step\Together;

/** What a build still asks for, before it is put into anybody's time: the state of the model, its steps and their order. */
final readonly class Problem
{
    /**
     * @param  array<string, Step>  $left  steps left to do, by key, in the plan's order
     * @param  list<Breach>  $breaches
     * @param  list<Checkpoint>  $checkpoints  of its log, made on the way
     */
    private function __construct(public Context $context, public Sequencer $sequence, public array $left, public array $breaches, public Waits $waits, public array $checkpoints)
    {
    }

    /**
     * @param  HouseRules  $house  with the build's own on top
     * @param  list<Event>  $events  the whole log, in any order; with a checkpoint, what it does not cover
     * @param  int  $every  events from one checkpoint to the next; 0: none is made
     */
    public static function of(Kit $kit, HouseRules $house, Shelf $shelf, array $events, Room $room, int $nowEpoch, Experience $experience, RuleBook $rules, ?Checkpoint $from = null, int $every = 0): self
    {
        $kit = Parking::active($kit);
        $clock = new WorkClock($room);
        $breakdown = new Breakdown($kit, $house);
        $replay = new Replay($events, $kit, $house, $shelf, $breakdown, $clock, $rules, $nowEpoch, $experience, $from, $every);
        $steps = (new StepBuilder($kit, $house, $shelf, $breakdown, $replay->state, $nowEpoch))->build();
        $context = new Context($kit, $house, $shelf, $breakdown, $steps, $replay->state, $room, $nowEpoch, $experience);
        $sequence = new Sequencer($steps->all(), self::constraints($rules, $context));
        $progress = new Progress($kit, $breakdown, $steps, $replay->state);
        $left = [];
        foreach ($sequence->order() as $key) {
            $step = $progress->left($steps->all()[$key]);
            if ($step !== null) {
                $left[$key] = $step;
            }
        }

        return new self($context, $sequence, $left, $replay->breaches(), new Waits($clock, $replay->state->learned), $replay->checkpoints());
    }

    /** @return iterable<Constraint|Together> */
    private static function constraints(RuleBook $rules, Context $context): iterable
    {
        foreach ($rules->orders as $rule) {
            yield from $rule->order($context);
        }
    }
}
