<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/**
 * What is planned for the coming two sessions leaves its place only if it no longer fits there, or if at least half an hour
 * is won by it (handbook 10).
 */
final readonly class Calm
{
    /** Seconds that have to be won. */
    public const WORTH = 1800;

    /** @var array<int, int> when the session ends in which each task is planned, of the coming two */
    private array $planned;

    public function __construct(private Calendar $calendar, private Trial $before)
    {
        $ends = [];
        $planned = [];
        foreach ($before->timed->order as $i) {
            $end = $calendar->endsAt($before->timed->start[$i]);
            $ends[$end] = true;
            if (count($ends) > 2) {
                break;
            }
            $planned[$i] = $end;
        }
        $this->planned = $planned;
    }

    /**
     * How much of an order lies before the first task that may be moved.
     *
     * @param  list<int>  $order
     */
    public function keeps(array $order): int
    {
        $place = count($order);
        while ($place > 0 && ! isset($this->planned[$order[$place - 1]])) {
            $place--;
        }

        return $place;
    }

    public function moves(Trial $trial): bool
    {
        foreach ($this->planned as $i => $end) {
            if ($this->calendar->endsAt($trial->timed->start[$i]) !== $end) {
                return true;
            }
        }

        return false;
    }

    /** Whether to leave places for it is worth its while, where it leaves any. */
    public function isWorth(Trial $trial): bool
    {
        if (! $trial->score->isBetterThan($this->before->score)) {
            return false;
        }

        return ! $this->moves($trial) || $trial->score->wins($this->before->score, self::WORTH);
    }
}
