<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

/** A step that is left to do, with the time it is planned for and what it waits for. */
final readonly class PlannedStep
{
    /**
     * @param  float  $minutes  hands-on
     * @param  list<Hold>  $holds  stretches that forbid it, as known when it was planned
     * @param  Standing  $standing  why it stands where it does
     */
    public function __construct(
        public Step $step,
        public int $place,
        public int $startEpoch,
        public int $endEpoch,
        public float $minutes,
        public array $holds,
        private Standing $standing,
    ) {
    }

    /** @return list<Constraint> why it stands where it does */
    public function reasons(): array
    {
        return $this->standing->reasons($this->step->key);
    }

    /** @return list<string> keys of steps that have to be done first and are not */
    public function waitsOn(): array
    {
        return $this->standing->waitsOn($this->step->key);
    }

    /** @return string|null key of the step that lets it go last, of those that have to be done first and are not */
    public function shutBy(): ?string
    {
        return $this->standing->shutBy($this->step->key);
    }

    /** The first moment from $epoch on at which no hold forbids it that has begun by then: what is only planned may come later. */
    public function openFrom(int $epoch): int
    {
        return self::firstFree(array_values(array_filter($this->holds, static fn (Hold $h): bool => $h->fromEpoch <= $epoch)), $epoch);
    }

    /** @param  list<Hold>  $holds */
    public static function firstFree(array $holds, int $epoch): int
    {
        do {
            $before = $epoch;
            foreach ($holds as $hold) {
                if ($epoch >= $hold->fromEpoch && $epoch < $hold->untilEpoch) {
                    $epoch = $hold->untilEpoch;
                }
            }
        } while ($epoch !== $before);

        return $epoch;
    }

    /** When the chance to do it closes, if it may be done now. */
    public function closesAt(int $epoch): ?Hold
    {
        $soonest = null;
        foreach ($this->holds as $hold) {
            if ($hold->closesAfter($epoch) && ($soonest === null || $hold->fromEpoch < $soonest->fromEpoch)) {
                $soonest = $hold;
            }
        }

        return $soonest;
    }
}
