<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

use AmberStep\Core\Kit\Place;
use AmberStep\Core\Log\Verdict;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Seam\Course;
use AmberStep\Core\Seam\Leg;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

/** How far a place has come: found, filled, set, cut back, checked, rescribed, good; what holds it, and which window closes on it. */
final readonly class Strip
{
    /**
     * @param  list<array{string, bool}>  $stages  each in a word, and whether it is behind it
     * @param  PlannedStep|null  $next  the first step that is left; null where it is good, or waits for nothing
     * @param  Hold|null  $hold  that forbids it now
     * @param  Hold|null  $closing  a window on it that closes: superglue that sets too hard
     */
    private function __construct(public Place $place, public string $piece, public string $pieceId, public ?Course $course, public array $stages, public ?PlannedStep $next, public ?Hold $hold, public ?Hold $closing)
    {
    }

    /** @return list<self> in the order of the register */
    public static function all(Plan $plan): array
    {
        return array_map(static fn (Place $p): self => self::of($p, $plan), Place::all($plan->context->kit));
    }

    public function isGood(): bool
    {
        return $this->next === null && ($this->course === null || $this->course->isGood());
    }

    /** What comes of it where the next step is done now, while something holds it; null where nothing does. */
    public function tooEarly(Plan $plan): ?string
    {
        return match (true) {
            $this->hold === null => null,
            $this->hold->kind === HoldKind::Ready => $plan->context->surface->joint($this->place->id)->filler?->tooEarly(),
            $this->hold->kind === HoldKind::Full => 'The plastic is still soft at the joint: sanded now, the seam sinks for days and shows as a groove.',
            $this->hold->kind === HoldKind::SandSafe => 'The paint rolls up under the grit instead of feathering.',
            default => 'It moves under the hand, and the joint opens again.',
        };
    }

    private static function of(Place $place, Plan $plan): self
    {
        $course = $plan->context->steps->courses[$place->id] ?? null;
        $piece = $plan->context->breakdown->pieceAt($place->parts[0]);
        $next = null;
        foreach (self::keys($place, $course) as $key) {
            $next ??= $plan->left[$key] ?? null;
        }
        $hold = $closing = null;
        foreach ($next->holds ?? [] as $each) {
            $own = $each->target === $place->id || in_array($each->target, $next?->step->targets ?? [], true);
            if ($own && $each->covers($plan->nowEpoch) && ($hold === null || $each->untilEpoch > $hold->untilEpoch)) {
                $hold = $each;
            }
            $closing = $own && $each->closesAfter($plan->nowEpoch) ? $each : $closing;
        }

        return new self($place, $piece->name ?? $place->name, $piece->id ?? '', $course, self::stages($place, $course, $plan), $next, $hold, $closing);
    }

    /** @return list<string> keys of its steps in order: gluing, then the legs of its course */
    private static function keys(Place $place, ?Course $course): array
    {
        return [
            ...($place->isJoint() ? ["{$place->id}/glue/all/1", "{$place->id}/attach/all/1"] : []),
            ...array_map(static fn (Leg $l): string => "{$place->id}/{$l->operation->value}/all/{$l->n}", $course->legs ?? []),
        ];
    }

    /** @return list<array{string, bool}> */
    private static function stages(Place $place, ?Course $course, Plan $plan): array
    {
        $state = $plan->context->surface->joint($place->id);
        $stages = [$place->isJoint() ? ['glued', $state->closedAt !== null] : ['found', true]];
        foreach ([[Operation::Look, 'no detail'], [Operation::Fill, 'filled'], [Operation::CutBack, 'cut back'], [Operation::CheckSeam, 'checked'], [Operation::Rescribe, 'rescribed']] as [$operation, $word]) {
            $legs = array_values(array_filter($course->legs ?? [], static fn (Leg $l): bool => $l->operation === $operation));
            if ($course === null || $legs === []) {
                continue;
            }
            $done = $course->isDone($operation, $legs[count($legs) - 1]->n);
            $stages[] = [$word, $done];
            if ($operation === Operation::Fill) {
                $stages[] = ['set', $done && self::isSet($place, $plan)];
            }
        }
        $good = $course?->isGood() === true && ($place->isJoint() ? $state->closedAt !== null : true);

        return [...$stages, [$course?->closedBy?->what instanceof Verdict && $course->closedBy->what !== Verdict::Good ? $course->closedBy->what->word() : 'good', $good]];
    }

    /** The filler is through, so far as the air until now went. */
    private static function isSet(Place $place, Plan $plan): bool
    {
        $cut = null;
        foreach ($plan->left as $planned) {
            if ($planned->step->placeId === $place->id && in_array($planned->step->operation, [Operation::CutBack, Operation::CheckSeam], true)) {
                $cut = $planned;
                break;
            }
        }
        foreach ($cut->holds ?? [] as $hold) {
            if ($hold->rule === 'filler-set' && $hold->kind === HoldKind::Ready && $hold->target === $place->id && $hold->untilEpoch > $plan->nowEpoch) {
                return false;
            }
        }

        return true;
    }
}
