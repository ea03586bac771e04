<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Step\Hold;

/** How a piece stands now, and until when. */
final readonly class Aspect
{
    /**
     * @param  int|null  $fromEpoch  when the wait began
     * @param  int|null  $untilEpoch  when the hold ends, or the chance closes
     * @param  string  $because  what it waits for, in words
     */
    public function __construct(public AspectKind $kind, public ?string $step = null, public ?int $fromEpoch = null, public ?int $untilEpoch = null, public string $because = '', public ?Hold $hold = null)
    {
    }

    /**
     * A closing one that may be done now, else any open, else the hold that ends first, else shut.
     *
     * @param  list<self>  $aspects
     */
    public static function over(array $aspects): self
    {
        $best = null;
        foreach ($aspects as $aspect) {
            if ($best === null || [$aspect->kind->rank(), $aspect->untilEpoch ?? PHP_INT_MAX] < [$best->kind->rank(), $best->untilEpoch ?? PHP_INT_MAX]) {
                $best = $aspect;
            }
        }

        return $best ?? new self(AspectKind::Done);
    }
}
