<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;

/**
 * Times orders of which each differs little from one before, as a sequence does: from where it differs, with hands as they
 * were until there.
 */
final class Replay
{
    /** Tasks between two places the hands are remembered at. */
    private const EVERY = 32;

    /** @var list<int> */
    private array $order = [];

    /** @var list<int> */
    private array $tried = [];

    /** @var array<int, Hands> by how much of the order they have done; each EVERY more */
    private array $hands;

    /** @var array<int, Hands> the same of what was tried last */
    private array $triedHands;

    public function __construct(Tasks $tasks, Calendar $calendar, WorkClock $clock, int $now, Bench $bench)
    {
        $this->hands = $this->triedHands = [new Hands($tasks, $calendar, $clock, $now, $bench)];
    }

    /**
     * @param  list<int>  $order  all tasks
     * @param  array<int, int>  $latest  start of each task at which it has to begin
     * @return Timed|null null where one comes before what it waits for, or before what a soft mask waits for, or begins too late
     */
    public function timed(array $order, array $latest = []): ?Timed
    {
        $same = 0;
        while (isset($this->order[$same], $order[$same]) && $this->order[$same] === $order[$same]) {
            $same++;
        }
        $at = min(intdiv($same, self::EVERY), count($this->hands) - 1);
        $this->tried = [];
        $this->triedHands = array_slice($this->hands, 0, $at + 1);
        $hands = clone $this->hands[$at];
        for ($place = $at * self::EVERY, $all = count($order); $place < $all; $place++) {
            if ($place % self::EVERY === 0 && $place > $at * self::EVERY) {
                $this->triedHands[] = clone $hands;
            }
            if ($hands->held->open[$order[$place]] > 0 || $hands->sitting->isPassedOver($order[$place], $hands->now)) {
                return null;
            }
            $hands->take($order[$place], $hands->now);
            if ($hands->start[$order[$place]] > ($latest[$order[$place]] ?? PHP_INT_MAX)) {
                return null;
            }
        }
        $this->tried = $order;
        $hands->finish();

        return Timed::by($hands);
    }

    /**
     * What others will differ little from.
     *
     * @param  list<int>  $order
     */
    public function keep(array $order): void
    {
        if ($this->tried !== $order) {
            $this->timed($order);
        }
        $this->order = $order;
        $this->hands = $this->triedHands;
    }
}
