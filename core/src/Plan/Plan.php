<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Drying\Room;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\Experience;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Timing\Calendar;

/** What is left to do on a build, in order, with times, holds, reasons and findings. */
final readonly class Plan
{
    /**
     * @param  array<string, PlannedStep>  $left  by key, in the plan's order
     * @param  list<Finding>  $findings  stops first
     * @param  array<string, Aspect>  $pieces  by piece id
     * @param  list<RunningHold>  $holds  soonest first
     * @param  ModelState  $final  how the model will be once all of it is done
     * @param  list<PlannedStep>  $cleaning  when the gun is cleaned, in order (rule paint-gun-clean)
     * @param  int  $validUntil  the first moment at which a plan made anew may differ, if nobody does anything
     * @param  int  $holdsUntil  the same for what may be done now, what is held and until when
     * @param  list<PlannedStep>  $cups  when a paint is stirred and mixed, in order (rule bottle-mixed)
     */
    public function __construct(
        public Context $context,
        public array $left,
        public array $findings,
        public array $pieces,
        public array $holds,
        public int $nowEpoch,
        public ModelState $final,
        public array $cleaning = [],
        public array $cups = [],
        public int $validUntil = PHP_INT_MAX,
        public int $holdsUntil = PHP_INT_MAX,
    ) {
    }

    /**
     * Plans what is left on top of what is really there.
     *
     * @param  HouseRules  $house  the user's; the build's own go on top
     * @param  list<Event>  $events  the whole log, in any order
     * @param  Experience  $experience  what all builds taught
     */
    public static function compile(Kit $kit, HouseRules $house, Shelf $shelf, array $events, Room $room, Calendar $calendar, int $nowEpoch, Experience $experience = new Experience): self
    {
        $compiler = Compiler::ofTheTrade();

        return $compiler->plan(Problem::of($kit, $house->with($kit->house), $shelf, $events, $room, $nowEpoch, $experience, $compiler->rules), $calendar);
    }

    public function aspect(): Aspect
    {
        return Aspect::over(array_values($this->pieces));
    }

    /** @return int|null when the last step ends; null where nothing is left */
    public function finishEpoch(): ?int
    {
        $ends = array_map(static fn (PlannedStep $p): int => $p->endEpoch, $this->left);

        return $ends === [] ? null : max($ends);
    }

    /** @return list<Finding> stops nobody accepted */
    public function stops(): array
    {
        return array_values(array_filter($this->findings, static fn (Finding $f): bool => $f->stops()));
    }

    /** @return list<PlannedStep> by planned time */
    public function byTime(): array
    {
        $left = array_values($this->left);
        usort($left, static fn (PlannedStep $a, PlannedStep $b): int => [$a->startEpoch, $a->place] <=> [$b->startEpoch, $b->place]);

        return $left;
    }

    /** @return list<PlannedStep> steps of the model and of the gun, by planned time */
    public function atTheBench(): array
    {
        $all = [...$this->cleaning, ...$this->cups, ...$this->byTime()];
        usort($all, static fn (PlannedStep $a, PlannedStep $b): int => [$a->startEpoch, $a->place] <=> [$b->startEpoch, $b->place]);

        return $all;
    }

    /** The one thing to do now; null where everything waits. Paint that must come out of the gun goes first, then what is mixed for it. */
    public function now(): ?PlannedStep
    {
        foreach ([$this->cleaning, $this->cups] as $gun) {
            if (isset($gun[0]) && $gun[0]->startEpoch <= $this->nowEpoch) {
                return $gun[0];
            }
        }
        $aspects = new Aspects($this->context, $this->left, $this->context->room, $this->nowEpoch);
        foreach ($this->byTime() as $planned) {
            if (in_array($aspects->ofStep($planned)->kind, [AspectKind::Open, AspectKind::Closing], true)) {
                return $planned;
            }
        }

        return null;
    }
}
