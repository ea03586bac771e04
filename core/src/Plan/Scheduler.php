<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Drying\Room;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Minutes;
use AmberStep\Core\Log\Fold;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Mixing\Batch;
use AmberStep\Core\Rule\Paint\PaintGunClean;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Strength;

/**
 * Plans when each step can be done at the earliest: one pair of hands, the user's sessions, the holds of what
 * lies on the model by then, the air in the room. Among steps that may be done, what closes soonest goes
 * first, then what is sprayed with the paint in the gun, then the plan's own order.
 */
final class Scheduler
{
    /** A chance that closes within this many seconds is taken before the plan's own order. */
    private const CLOSING_SOON = 3 * 3600;

    /** Rounds in which holds, air and sessions have to agree on a time. */
    private const ROUNDS = 12;

    /** @var array<string, PlannedStep> */
    private array $planned = [];

    /** @var array<string, int> steps done on a piece, to know when holds have to be worked out again */
    private array $changes = [];

    /** @var array<string, array{string, list<Hold>}> */
    private array $holds = [];

    /** @var array<string, float> hands-on, by key: asked each time it may be next */
    private array $minutes = [];

    /** When the last wash ended: the water is still there. */
    private ?int $washedUntil = null;

    private readonly Fold $fold;

    private readonly GunCare $gun;

    private readonly CupCare $cups;

    /** @var list<PlannedStep> when the gun is cleaned, in order */
    private array $cleaning = [];

    public function __construct(
        private readonly Context $context,
        private readonly World $world,
        private readonly RuleBook $rules,
        private readonly Sequencer $sequence,
        private readonly Calendar $calendar,
        private readonly Room $room,
    ) {
        $this->fold = new Fold($context->kit, $context->shelf, $world->surface);
        $this->gun = new GunCare(new PaintGunClean, $context->house, $world->surface, $context->shelf, $context->breakdown, $context->nowEpoch);
        $this->cups = new CupCare($context, $room);
    }

    /**
     * @param  array<string, Step>  $left  steps left to do, by key, in the plan's order
     * @return array<string, PlannedStep> in the plan's order
     */
    public function run(array $left): array
    {
        $places = array_flip(array_keys($left));
        $waitsOn = [];
        $unlocks = [];
        foreach ($left as $key => $step) {
            $waitsOn[$key] = array_values(array_filter(array_map(static fn (Constraint $c): string => $c->before, array_filter($this->sequence->waitsOn($key), fn (Constraint $c): bool => ! $this->hasBegun($c, $step))), static fn (string $k): bool => isset($left[$k])));
            foreach ($waitsOn[$key] as $before) {
                $unlocks[$before][] = $key;
            }
        }
        $open = array_map(static fn (array $w): int => count($w), $waitsOn);
        $candidates = array_filter($left, static fn (Step $s): bool => $open[$s->key] === 0);
        $now = $this->room->nowEpoch;
        while ($candidates !== []) {
            [$key, $at] = $this->next($candidates, $now);
            $step = $candidates[$key];
            $minutes = $this->minutes($step, $at);
            if ($this->gun->isDueBefore($step, $at, $minutes)) {
                $now = $this->clean($now, $step, $at);

                continue;
            }
            $now = $this->isMixedBefore($step, $at) ? $this->cups->mix($step, $at, $at + $this->mixing($step, $at)) : $at;
            unset($candidates[$key]);
            $end = $now + (int) ceil($minutes) * 60;
            $this->planned[$key] = new PlannedStep($step, $places[$key], $now, $end, $minutes, $this->holdsOn($step), $waitsOn[$key], $this->sequence->waitsOn($key));
            $this->fold->apply(StepEvent::of($step, 'plan:'.$key, $end, $end));
            $this->changed($step);
            $this->gun->sprayed($step, $end);
            $this->cups->sprayed($step, $end);
            $now = $end;
            $this->washedUntil = $step->operation === Operation::Wash ? $end : null;
            $fresh = array_filter($unlocks[$key] ?? [], static function (string $next) use (&$open): bool {
                return --$open[$next] === 0;
            });
            if ($fresh !== []) {
                $candidates += array_intersect_key($left, array_flip($fresh));
                uksort($candidates, static fn (string $a, string $b): int => $places[$a] <=> $places[$b]);
            }
        }
        $this->clean($now, null, null);
        uksort($this->planned, static fn (string $a, string $b): int => $places[$a] <=> $places[$b]);

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

    private function isMixedBefore(Step $step, int $at): bool
    {
        return ! $this->gun->isLoadedFor($step, $at) && $this->cups->isDueBefore($step, $at);
    }

    /** Seconds the mixing before it takes at a moment; fitted in before a time the user fixed. */
    private function mixing(Step $step, int $at): int
    {
        if (! $this->isMixedBefore($step, $at)) {
            return 0;
        }
        $exactly = $this->context->kit->exactly($step->key);

        return $exactly === null ? 60 * Batch::MINUTES : min(60 * Batch::MINUTES, max(0, $exactly - $at));
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

    /** Once a colour is on one piece, nothing is gained by letting the others wait for the last. */
    private function hasBegun(Constraint $constraint, Step $step): bool
    {
        if ($constraint->strength !== Strength::SameColour && $constraint->strength !== Strength::SameColourThatMustMatch) {
            return false;
        }
        foreach ($this->context->kit->areas as $area) {
            if ($area->intent->colour === $step->counted() && $this->context->surface->area($area->id)->count(Operation::Colour, $step->counted()) > 0) {
                return true;
            }
        }

        return false;
    }

    /**
     * Which candidate is done next, and when its mixing, or it, is begun.
     *
     * @param  non-empty-array<string, Step>  $candidates
     * @return array{string, int}
     */
    private function next(array $candidates, int $now): array
    {
        for (; ;) {
            $closing = $loaded = $first = null;
            $later = PHP_INT_MAX;
            foreach ($candidates as $key => $step) {
                // It is mixed while the last wait before it runs, never for a coat that may not follow at once.
                $mixing = $this->mixing($step, $now);
                $from = $this->openFrom($step, $now + $mixing) - $mixing;
                if ($from > $now) {
                    $later = min($later, $from);

                    continue;
                }
                $fit = $this->fit($step, $now);
                if ($fit > $now) {
                    $later = min($later, $fit);

                    continue;
                }
                $first ??= $key;
                if ($loaded === null && $this->gun->isLoadedFor($step, $now)) {
                    $loaded = $key;
                }
                $closes = $this->closes($step, $now);
                if ($closes !== null && $closes - $now < self::CLOSING_SOON && ($closing === null || $closes < $closing[0])) {
                    $closing = [$closes, $key];
                }
            }
            if ($first !== null) {
                return [$closing[1] ?? $loaded ?? $first, $now];
            }
            $now = $later;
        }
    }

    private function openFrom(Step $step, int $from): int
    {
        $exactly = $this->context->kit->exactly($step->key);
        if ($exactly !== null) {
            return max($from, $exactly);
        }
        $gloss = self::isGloss($step);
        for ($i = 0; $i < self::ROUNDS; $i++) {
            $free = PlannedStep::firstFree($this->holdsOn($step), $from);
            $fit = $step->operation->sprays() ? $this->room->fitFrom($free, $gloss) ?? $free : $free;
            if ($fit === $from) {
                break;
            }
            $from = $fit;
        }

        return $from;
    }

    private function fit(Step $step, int $from): int
    {
        return $this->context->kit->exactly($step->key) !== null ? $from : $this->calendar->earliestFit($from, $this->mixing($step, $from) / 60 + $this->minutes($step, $from));
    }

    /** Pieces washed one after the other share the water: 10 min for it, and 1 for each (handbook 2). */
    private function minutes(Step $step, int $at): float
    {
        $minutes = $this->minutes[$step->key] ??= ($step->placeId === null ? 1.0 : $this->context->surface->learned->pace($step->operation)) * Minutes::of($step, $this->context->kit, $this->context->house, $this->context->experience->uses);

        return $step->operation === Operation::Wash && $this->washedUntil === $at ? $minutes - Minutes::WATER : $minutes;
    }

    private function closes(Step $step, int $now): ?int
    {
        $closes = null;
        foreach ($this->holdsOn($step) as $hold) {
            if ($hold->closesAfter($now)) {
                $closes = min($closes ?? PHP_INT_MAX, $hold->fromEpoch);
            }
        }

        return $closes;
    }

    /** @return list<Hold> */
    private function holdsOn(Step $step): array
    {
        $state = $this->stateMark($step);
        if (($this->holds[$step->key][0] ?? null) !== $state) {
            $holds = [];
            foreach ($this->rules->holds as $rule) {
                foreach ($rule->holds($step, $this->world) as $hold) {
                    $holds[] = $hold;
                }
            }
            $this->holds[$step->key] = [$state, $holds];
        }

        return $this->holds[$step->key][1];
    }

    /** Changes when something was done that may bear on the step: on its piece, or once pieces are attached or for sanding, anywhere. */
    private function stateMark(Step $step): string
    {
        $anywhere = $step->jointId !== null || $step->placeId !== null || $step->operation->sands();

        return ($this->changes[$step->pieceId] ?? 0).'/'.($anywhere ? array_sum($this->changes) : '').'/'.($this->changes['*'] ?? 0);
    }

    private function changed(Step $step): void
    {
        $this->changes[$step->pieceId] = ($this->changes[$step->pieceId] ?? 0) + 1;
        if ($step->jointId !== null) {
            $this->changes['*'] = ($this->changes['*'] ?? 0) + 1;
        }
    }

    public static function isGloss(Step $step): bool
    {
        return $step->operation->isVarnish() && $step->product?->sheen === Sheen::Gloss;
    }
}
