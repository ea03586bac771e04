<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;
use Random\Randomizer;

/**
 * Where few tasks are left, their order itself: some are moved elsewhere, what is better is gone on with, and to begin with
 * also what is worse, so that one evening can be given up for a better one (annealing, begun anew several times).
 */
final readonly class Orders
{
    /** With more tasks than these a move of one says too little. */
    public const FEW = 60;

    /** Orders that are tried in a round: others follow as long as they find something better. */
    private const TRIALS = 12000;

    /** After so many it begins with any order. */
    private const ANEW = 3000;

    /** Tasks that are moved together, at most. */
    private const BLOCK = 9;

    /** Minutes of loss that are taken lightly to begin with, and what is left of them after each trial. */
    private const HOT = 250.0;

    private const COOLS = 0.998;

    private Following $following;

    public function __construct(private Tasks $tasks, private Calendar $calendar, private WorkClock $clock, private int $now, private Bench $bench, private Randomizer $random)
    {
        $this->following = new Following($tasks);
    }

    /**
     * @param  list<int>  $order  to begin with
     * @param  list<int>  $other  another to begin with: what is best so far may lie far from what is better
     * @return array{array<int, int>, array<int, int>, Loading}|null ranks, put-offs and loading that keep to a better order; null where none was found
     */
    public function better(array $order, array $other): ?array
    {
        $score = count($order) > self::FEW || count($order) < 2 ? null : $this->score($order);
        if ($score === null) {
            return null;
        }
        [$best, $bestScore, $begun] = [$order, $score, $score];
        for ($n = 0; $n < self::TRIALS; $n++) {
            if ($n > 0 && $n % self::ANEW === 0) {
                [$order, $score] = match (intdiv($n, self::ANEW) % 3) {
                    0 => [$best, $bestScore],
                    1 => $this->from($other) ?? [$best, $bestScore],
                    default => $this->anyhow() ?? [$best, $bestScore],
                };
            }
            $moved = $this->random->getInt(0, 1) === 0 ? $this->moved($order, $this->random->getInt(0, count($order) - 1), $this->random->getInt(0, count($order) - 1)) : $this->together($order);
            $its = $this->score($moved);
            if ($its === null || ! Annealing::takes($this->random, $its->cost() - $score->cost(), self::HOT * self::COOLS ** ($n % self::ANEW))) {
                continue;
            }
            [$order, $score] = [$moved, $its];
            if ($score->isBetterThan($bestScore)) {
                [$best, $bestScore] = [$order, $score];
            }
        }

        return $bestScore->isBetterThan($begun) ? $this->kept($best) : null;
    }

    /**
     * @param  list<int>  $order
     * @return array{list<int>, Score}|null
     */
    private function from(array $order): ?array
    {
        $score = $this->score($order);

        return $score === null ? null : [$order, $score];
    }

    /** @return array{list<int>, Score}|null an order drawn by lot that keeps to what waits for what */
    private function anyhow(): ?array
    {
        $rank = $this->random->shuffleArray(array_keys($this->tasks->keys));
        $order = (new Dispatcher($this->tasks, $this->calendar, $this->clock, $this->now, $this->bench, $rank))->run()->order;
        $score = count($order) === $this->tasks->count() ? $this->score($order) : null;

        return $score === null ? null : [$order, $score];
    }

    /**
     * @param  list<int>  $order
     * @return list<int>
     */
    private function moved(array $order, int $from, int $to): array
    {
        $many = $this->random->getInt(0, 2) === 0 ? $this->random->getInt(2, self::BLOCK) : 1;
        $sitting = $this->tasks->sitting[$order[$from]];
        while ($sitting >= 0 && $this->random->getInt(0, 1) === 0 && isset($order[$from + $many]) && $this->tasks->sitting[$order[$from + $many]] === $sitting) {
            $many++;
        }
        $moved = array_splice($order, $from, $many);
        array_splice($order, min($to, count($order)), 0, $moved);

        return $order;
    }

    /**
     * A task with all it waits for comes sooner, or with all that waits for it later: no such order breaks what waits for what.
     *
     * @param  list<int>  $order
     * @return list<int>
     */
    private function together(array $order): array
    {
        $last = count($order) - 1;
        $from = $this->random->getInt(0, $last - 1);
        $length = min($last - $from, $this->random->getInt(1, max(1, intdiv($last, 2)))) + 1;
        $until = $from + $length - 1;

        return $this->random->getInt(0, 1) === 0 ? $this->following->sooner($order, $from, $until, [$order[$until] => true]) : $this->following->later($order, $from, $until, [$order[$from] => true]);
    }

    /** @param  list<int>  $order */
    private function score(array $order): ?Score
    {
        $timed = (new Sequence($this->tasks, $this->calendar, $this->clock, $this->now, $this->bench))->timed($order);

        return $timed === null ? null : Score::of($timed, $this->tasks, $this->calendar, $this->now, $this->bench->due)->inDetail(array_sum($timed->end) - $this->now * count($timed->end));
    }

    /**
     * Each task waits for the one before it.
     *
     * @param  list<int>  $order
     * @return array{array<int, int>, array<int, int>, Loading}
     */
    private function kept(array $order): array
    {
        $rank = $putOff = [];
        foreach ($order as $place => $task) {
            $rank[$task] = $place;
            if ($place > 0) {
                $putOff[$task] = $order[$place - 1];
            }
        }

        return [$rank, $putOff, Loading::AsItComes];
    }
}
