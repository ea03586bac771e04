<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Drying\Room;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Log\Fold;
use AmberStep\Core\Rule\Paint\PaintGunClean;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Timing\Calendar;

/**
 * Plans when each step can be done at the earliest: one pair of hands, the user's sessions, the holds of what
 * lies on the model by then, the air in the room.
 */
final class Scheduler
{
    /** @var array<string, PlannedStep> */
    private array $planned = [];

    private readonly Fold $fold;

    private readonly GunCare $gun;

    private readonly CupCare $cups;

    private readonly HoldBook $holds;

    private readonly Moments $moments;

    private readonly Chooser $chooser;

    /** @var list<PlannedStep> when the gun is cleaned, in order */
    private array $cleaning = [];

    public function __construct(private readonly Context $context, private readonly World $world, RuleBook $rules, private readonly Sequencer $sequence, Calendar $calendar, private readonly Room $room)
    {
        $this->fold = new Fold($context->kit, $context->shelf, $world->surface);
        $this->gun = new GunCare(new PaintGunClean, $context->house, $world->surface, $context->shelf, $context->breakdown, $context->nowEpoch);
        $this->cups = new CupCare($context, $room);
        $this->holds = new HoldBook($rules, $world);
        $this->moments = new Moments($context, $this->holds, $this->gun, $this->cups, $calendar, $room);
        $this->chooser = new Chooser($this->moments, $this->holds, $this->gun);
    }

    /**
     * @param  array<string, Step>  $left  steps left to do, by key, in the plan's order
     * @return array<string, PlannedStep> in the plan's order
     */
    public function run(array $left): array
    {
        $waiting = new Waiting($left, $this->sequence, $this->context);
        $steps = array_values($left);
        $now = $this->room->nowEpoch;
        foreach ($waiting->free() as $place) {
            $this->chooser->add($place, $steps[$place], $now);
        }
        while (! $this->chooser->isDone()) {
            [$place, $at] = $this->chooser->next($now);
            $step = $steps[$place];
            $minutes = $this->moments->minutes($step, $at);
            if ($this->gun->isDueBefore($step, $at, $minutes)) {
                $now = $this->clean($now, $step, $at);

                continue;
            }
            $now = $this->moments->isMixedBefore($step, $at) ? $this->cups->mix($step, $at, $at + $this->moments->mixing($step, $at)) : $at;
            $end = $now + (int) ceil($minutes) * 60;
            $this->planned[$step->key] = new PlannedStep($step, $place, $now, $end, $minutes, $this->holds->of($step)->holds, $waiting);
            $this->chooser->remove($place);
            $loads = $step->operation->sprays() && ! $this->gun->isLoadedFor($step, $now);
            $this->do($step, $end);
            $this->chooser->done($step, $loads, $end);
            foreach ($waiting->done($step->key) as $next) {
                $this->chooser->add($next, $steps[$next], $end);
            }
            $now = $end;
        }
        $this->clean($now, null, null);
        uasort($this->planned, static fn (PlannedStep $a, PlannedStep $b): int => $a->place <=> $b->place);

        return $this->planned;
    }

    /** @return list<PlannedStep> when the gun is cleaned, once the rest is planned */
    public function cleaning(): array
    {
        return $this->cleaning;
    }

    /** @return list<PlannedStep> when a paint is stirred and mixed, once the rest is planned */
    public function cups(): array
    {
        return $this->cups->steps();
    }

    /** It is done by then: the model, gun and cup are as it leaves them. */
    private function do(Step $step, int $end): void
    {
        $this->fold->apply(StepEvent::of($step, 'plan:'.$step->key, $end, $end));
        $this->gun->sprayed($step, $end);
        $this->cups->sprayed($step, $end);
        $this->moments->done($step, $end);

        $this->world->changed($this->holds->piecesOf($step), $step->operation->joins());
    }

    /** Cleans the gun as soon as the hands are free, and says when they are again. */
    private function clean(int $now, ?Step $next, ?int $nextEpoch): int
    {
        $cleaning = $this->gun->clean($now, $next?->operation->sprays() === true ? $next->product : null, $nextEpoch);
        if ($cleaning === null) {
            return $now;
        }
        $this->cleaning[] = $cleaning;
        $this->cups->cleaned($cleaning->step->product);

        return $cleaning->endEpoch;
    }
}
