<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Drying\Room;
use AmberStep\Core\Kit\NotBefore;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Minutes;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Mixing\Batch;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Work\Operation;

/** When a step can be begun at the earliest: what holds it, the air, the mixing before it, a session it fits into. */
final class Moments
{
    /** Rounds in which holds and air have to agree on a time. */
    private const ROUNDS = 12;

    /** @var array<string, float> hands-on, by key: asked each time it may be next */
    private array $minutes = [];

    /** @var array<string, array{int, int, int}> change of the model, moment asked from, and when holds and air let it, by key */
    private array $free = [];

    /** When the last wash ended: the water is still there. */
    private ?int $washedUntil = null;

    /** @var array<string, int> moments the user fixed, by key */
    private readonly array $fixed;

    public function __construct(
        private readonly Context $context,
        private readonly HoldBook $holds,
        private readonly GunCare $gun,
        private readonly CupCare $cups,
        private readonly Calendar $calendar,
        private readonly Room $room,
    ) {
        $this->fixed = NotBefore::fixed($context->kit->notBefore);
    }

    /** When a step, or the mixing before it, is begun: $now where it may be at once. */
    public function startOf(Step $step, int $now): int
    {
        $bound = isset($this->fixed[$step->key]) ? $now : $this->calendar->notBefore($now, $this->minutes($step, $now));
        if ($bound > $now) {
            return $bound;
        }
        // It is mixed while the last wait before it runs, never for a coat that may not follow at once.
        $mixing = $this->mixing($step, $now);
        $from = $this->freeFrom($step, $now + $mixing) - $mixing;
        if ($from > $now || isset($this->fixed[$step->key])) {
            return max($from, $now);
        }

        return $this->calendar->earliestFit($now, $mixing / 60 + $this->minutes($step, $now));
    }

    /** @return int|null when the piece of a joint may be handled while somebody is at the bench: the same for all its joints; null where it may be now */
    public function handledFrom(Step $step, int $now): ?int
    {
        if (! $step->operation->joins() || isset($this->fixed[$step->key])) {
            return null;
        }
        $from = $this->holds->handledFrom($step, $now);

        return $from > $now ? $this->calendar->notBefore($from, 0) : null;
    }

    /** @return int whole minutes a step takes at the least; less than none where the user fixed its time, and no session has to hold it */
    public function atLeast(Step $step): int
    {
        $minutes = $this->minutes($step, -1) - ($step->operation === Operation::Wash ? Minutes::WATER : 0);

        return match (true) {
            isset($this->fixed[$step->key]) => -1,
            // Longer than any session it is begun in whatever is left of one.
            $minutes > Calendar::LONGEST_SESSION => 0,
            default => (int) $minutes,
        };
    }

    /** @return float minutes that are left of the session that runs; less than none where none does, without end where no other is to come */
    public function left(int $now): float
    {
        $ends = $this->calendar->endsAt($now);

        return match (true) {
            $this->nextSession($now) <= $now => INF,
            $ends > $now => ($ends - $now) / 60,
            default => -1,
        };
    }

    /** When the next session begins. */
    public function nextSession(int $now): int
    {
        return $this->calendar->notBefore($now, Calendar::LONGEST_SESSION);
    }

    /** Before this moment there is no use in asking: holds, air or the user let nothing of it be begun. */
    public function asleepUntil(Step $step, int $now): int
    {
        return $this->freeFrom($step, $now) - self::lead($step);
    }

    /** Seconds by which mixing may begin before a spraying is free. */
    public static function lead(Step $step): int
    {
        return $step->operation->sprays() ? 60 * Batch::MINUTES : 0;
    }

    public function isMixedBefore(Step $step, int $at): bool
    {
        return $step->operation->sprays() && ! $this->gun->isLoadedFor($step, $at) && $this->cups->isDueBefore($step, $at);
    }

    /** Seconds the mixing before it takes at a moment; fitted in before a time the user fixed. */
    public function mixing(Step $step, int $at): int
    {
        if (! $this->isMixedBefore($step, $at)) {
            return 0;
        }
        $exactly = $this->fixed[$step->key] ?? null;

        return $exactly === null ? 60 * Batch::MINUTES : min(60 * Batch::MINUTES, max(0, $exactly - $at));
    }

    /** Hands-on. Pieces washed one after the other share the water: 10 min for it, and 1 for each (handbook 2). */
    public function minutes(Step $step, int $at): float
    {
        $minutes = $this->minutes[$step->key] ??= ($step->placeId === null ? 1.0 : $this->context->surface->learned->pace($step->operation)) * Minutes::of($step, $this->context->kit, $this->context->house, $this->context->experience->uses);

        return $step->operation === Operation::Wash && $this->washedUntil === $at ? $minutes - Minutes::WATER : $minutes;
    }

    public function done(Step $step, int $end): void
    {
        $this->washedUntil = $step->operation === Operation::Wash ? $end : null;
    }

    /** When holds and air let a step be done: what was found from an earlier moment holds until then, unless the model changed. */
    private function freeFrom(Step $step, int $from): int
    {
        if (isset($this->fixed[$step->key])) {
            return max($from, $this->fixed[$step->key]);
        }
        $version = $this->holds->versionFor($step);
        $known = $this->free[$step->key] ?? null;
        if ($known !== null && $known[0] === $version && $known[1] <= $from && $from <= $known[2]) {
            return $known[2];
        }
        $bound = $step->operation->joins() ? $this->holds->handledFrom($step, $from) : $from;
        if ($bound > $from) {
            return $bound;
        }
        $asked = $from;
        $holds = $this->holds->of($step);
        $sprays = $step->operation->sprays();
        for ($i = 0; $i < self::ROUNDS; $i++) {
            $free = $holds->freeFrom($from);
            $fit = $sprays ? $this->room->fitFrom($free, self::isGloss($step)) ?? $free : $free;
            if ($fit === $from) {
                break;
            }
            $from = $fit;
        }
        $this->free[$step->key] = [$version, $asked, $from];

        return $from;
    }

    public static function isGloss(Step $step): bool
    {
        return $step->operation->isVarnish() && $step->product?->sheen === Sheen::Gloss;
    }
}
