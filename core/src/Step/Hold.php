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

    /** Done so little early that it is nobody's fault: a minute, or a hundredth of a long wait, whose air is read but now and then. */
    public function forgives(int $epoch): bool
    {
        return $this->untilEpoch - $epoch <= max(60, intdiv($this->untilEpoch - $this->fromEpoch, 100));
    }

    /** The event that began it, or "plan:" and the key of the step that will; null for what no work began. */
    public function began(): ?string
    {
        return $this->wait?->began;
    }

    /** Minutes from what began it to when the chance is lost; null for what is no chance. */
    public function closesAfterMinutes(): ?float
    {
        return $this->isChance() && $this->wait !== null ? ($this->fromEpoch - $this->wait->fromEpoch) / 60 : null;
    }

    /** What it says is lost when it begins. */
    public function isChance(): bool
    {
        return $this->kind === HoldKind::Window;
    }

    /** A moment that is lost when this begins: the recoat window closes, the mask should be off. */
    public function closesAfter(int $epoch): bool
    {
        return $this->isChance() && $this->fromEpoch > $epoch;
    }

    /**
     * Those of a heap of holds that matter where all of them have begun: of what had begun by $nowEpoch the one that
     * ends last, and of what is planned after it the one that does.
     *
     * @param  list<self>  $holds
     * @return list<self>
     */
    public static function lasting(array $holds, int $nowEpoch): array
    {
        $real = $planned = null;
        foreach ($holds as $hold) {
            if ($hold->fromEpoch <= $nowEpoch) {
                $real = $real === null || $hold->untilEpoch > $real->untilEpoch ? $hold : $real;
            } else {
                $planned = $planned === null || $hold->untilEpoch > $planned->untilEpoch ? $hold : $planned;
            }
        }

        return array_values(array_filter([$real, $planned]));
    }

    /** The same hold on one thing over reloads: where it stands and what for, not when. */
    public function key(): string
    {
        return $this->target.'/'.$this->kind->value.'/'.$this->rule;
    }
}
