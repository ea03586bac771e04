<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Drying\Wait;
use AmberStep\Core\Work\HoldKind;

/** A stretch of time in which a step may not be done, on an area, joint or mix. */
final readonly class Hold
{
    /**
     * @param  int  $untilEpoch  the first moment it may be done; equal to $fromEpoch for what may only get too late
     * @param  string  $rule  id of the rule that says so
     * @param  string  $because  what started it, such as "coat 1 of sea grey"
     */
    public function __construct(
        public HoldKind $kind,
        public string $target,
        public int $fromEpoch,
        public int $untilEpoch,
        public string $rule,
        public string $because,
        public ?Wait $wait = null,
    ) {
    }

    public function covers(int $epoch): bool
    {
        return $epoch >= $this->fromEpoch && $epoch < $this->untilEpoch;
    }

    /** A moment that is lost when this begins: the recoat window closes, the mask should be off. */
    public function closesAfter(int $epoch): bool
    {
        return $this->kind === HoldKind::Window && $this->fromEpoch > $epoch;
    }

    /** The same hold on one thing over reloads: where it stands and what for, not when. */
    public function key(): string
    {
        return $this->target.'/'.$this->kind->value.'/'.$this->rule;
    }
}
