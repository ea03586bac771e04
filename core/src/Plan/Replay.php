<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Drying\Waits;
use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\Experience;
use AmberStep\Core\Log\Fold;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Breach;
use AmberStep\Core\Step\StepEvent;

/** Folds a log, from its beginning or from a checkpoint, and asks the hold rules of each event whether it was time for it. */
final class Replay
{
    /** Seconds in which the same thing done wrong at a place is one mistake. */
    private const ONE_MISTAKE = 7 * 86400;

    /** Events from one checkpoint to the next. */
    public const EVERY = 250;

    /** How many are made, the last ones: of a long log those before would fill the memory, and nobody goes back so far. */
    public const KEPT = 6;

    /** Of these, how many at the end no checkpoint reaches: the last ones are those that are set back or taken back. */
    private const OPEN_END = 0.1;

    /** @var list<Breach> */
    private array $breaches = [];

    /** @var array<string, true> events and rules a breach was noted of: one is enough */
    private array $told = [];

    /** @var array<string, int> when what was done wrong at a place was last said, by rule and place */
    private array $misdone = [];

    /** @var list<Checkpoint> made on the way */
    private array $checkpoints = [];

    public readonly ModelState $state;

    /**
     * @param  list<Event>  $events  all of them, in any order; with a checkpoint, those it does not cover, and what takes them back
     * @param  Checkpoint|null  $from  that holds for these events
     * @param  int  $every  events from one checkpoint to the next; 0: none is made
     */
    public function __construct(
        array $events,
        private readonly Kit $kit,
        private readonly HouseRules $house,
        private readonly Shelf $shelf,
        private readonly Breakdown $breakdown,
        private readonly WorkClock $clock,
        private readonly RuleBook $rules,
        int $nowEpoch,
        Experience $experience,
        ?Checkpoint $from = null,
        private readonly int $every = 0,
    ) {
        $standing = array_values(array_filter(Log::standing($events), static fn (Event $e): bool => $e->atEpoch <= $nowEpoch && ($from === null || ! $from->covers($e))));
        $begun = $from?->state($shelf) ?? Log::begun($events, $experience, $nowEpoch);
        $this->breaches = $from?->breaches() ?? [];
        foreach ($this->breaches as $breach) {
            if ($breach->said !== null) {
                $this->misdone[$breach->rule.'/'.$breach->heldTarget] = $breach->atEpoch;
            }
        }
        $this->state = $this->run($standing, $begun);
    }

    /** @return list<Breach> one for each event and rule */
    public function breaches(): array
    {
        return $this->breaches;
    }

    /** @return list<Checkpoint> oldest first */
    public function checkpoints(): array
    {
        return $this->checkpoints;
    }

    /** @param  list<Event>  $standing */
    private function run(array $standing, ModelState $state): ModelState
    {
        $waits = new Waits($this->clock, $state->learned);
        $fold = new Fold($this->kit, $this->shelf, $state);
        $last = $this->every === 0 ? 0 : count($standing) - (int) ceil(self::OPEN_END * $this->every);
        foreach ($standing as $i => $event) {
            $this->judge($event, $state, $waits);
            $fold->apply($event);
            if ($i + 1 === $last || ($i + 1 < $last && $i + 1 > $last - self::KEPT * $this->every && ($i + 1) % $this->every === 0)) {
                $this->checkpoints[] = Checkpoint::after($event, $state, $this->breaches);
            }
        }

        return $state;
    }

    private function judge(Event $event, ModelState $before, Waits $waits): void
    {
        $step = StepEvent::asStep($event, $this->kit, $this->breakdown, $this->shelf->find($event->product), $before);
        if ($step === null) {
            return;
        }
        $world = new World($this->kit, $this->house, $this->breakdown, $before, $waits, $event->atEpoch);
        foreach ($this->rules->holding($step->operation) as $rule) {
            foreach ($rule->holds($step, $world) as $hold) {
                if ($hold->covers($event->atEpoch) && ! $hold->forgives($event->atEpoch) && ! isset($this->told[$event->id.$hold->rule])) {
                    $this->told[$event->id.$hold->rule] = true;
                    $this->breaches[] = Breach::of($event, $hold);
                }
            }
        }
        // What a remedy does beside others is done behind a held card.
        $remedy = $step->isRemedy() || preg_match('/\A(fault|insert|place)\+/', $event->purpose) === 1;
        foreach ($remedy ? [] : $this->rules->watching as $rule) {
            foreach ($rule->deeds($step, $world) as $misdeed) {
                $mark = $rule->id().'/'.$misdeed->target;
                // Done over and over it is said once a week: ten coats beside an open pane are one mistake.
                if (! isset($this->misdone[$mark]) || $event->atEpoch - $this->misdone[$mark] >= self::ONE_MISTAKE) {
                    $this->misdone[$mark] = $event->atEpoch;
                    $this->breaches[] = Breach::misdeed($event, $rule->id(), $misdeed);
                }
            }
        }
    }
}
