<?php

declare(strict_types=1);

namespace AmberStep\Core\Surface;

use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Plan\Hold;
use AmberStep\Core\Plan\Operation;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\PlannedStep;

/** How far a seam has come: glued, filled, cut back, checked; what holds it, and which window closes on it. */
final readonly class SeamStrip
{
    private const STAGES = [Operation::Glue, Operation::Fill, Operation::CutBack, Operation::CheckSeam];

    /**
     * @param  list<array{Operation, bool}>  $stages  each, and whether it is done
     * @param  PlannedStep|null  $next  the first that is not; null where it is good
     * @param  Hold|null  $hold  that forbids it now
     * @param  Hold|null  $closing  a window on it that closes: superglue that sets too hard
     */
    private function __construct(public Joint $joint, public string $piece, public array $stages, public ?PlannedStep $next, public ?Hold $hold, public ?Hold $closing, public FillerAdvice $advice)
    {
    }

    /** @return list<self> every seam, and every joint with a gap, in the user's order */
    public static function all(Plan $plan): array
    {
        $strips = [];
        foreach ($plan->context->kit->joints as $joint) {
            if ($joint->isSeam() || $joint->gapMm > 0) {
                $strips[] = self::of($joint, $plan);
            }
        }

        return $strips;
    }

    public function isGood(): bool
    {
        return $this->next === null;
    }

    private static function of(Joint $joint, Plan $plan): self
    {
        $stages = [];
        $next = null;
        foreach (self::STAGES as $operation) {
            $key = "{$joint->id}/{$operation->value}/all/1";
            if ($plan->context->steps->find($key) === null) {
                continue;
            }
            $left = $plan->left[$key] ?? null;
            $stages[] = [$operation, $left === null];
            $next ??= $left;
        }
        $hold = $closing = null;
        foreach ($next->holds ?? [] as $each) {
            if ($each->covers($plan->nowEpoch) && $each->target === $joint->id && ($hold === null || $each->untilEpoch > $hold->untilEpoch)) {
                $hold = $each;
            }
            $closing = $each->closesAfter($plan->nowEpoch) && $each->target === $joint->id ? $each : $closing;
        }

        return new self($joint, $plan->context->breakdown->pieceAt($joint->id)->name ?? $joint->name, $stages, $next, $hold, $closing, FillerAdvice::for(self::gap($joint, $plan)));
    }

    private static function gap(Joint $joint, Plan $plan): Gap
    {
        $clear = array_filter($joint->parts, static fn (string $p): bool => $plan->context->kit->partsById[$p]->isClear()) !== [];
        // One wipes what the kit says is filled with glue: sanding it would kill detail.
        $wiped = in_array($joint->filler?->value, ['clear-glue', 'acrylic-filler'], true);

        return new Gap(max(0.01, $joint->gapMm), $wiped ? Access::None : Access::Open, paneBeside: $clear, lengthCm: $joint->lengthCm);
    }
}
