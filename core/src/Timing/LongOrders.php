<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use Random\Randomizer;

/**
 * Where many tasks are left, their order itself: one loading of a paint goes to the next or comes to the one before, a coat
 * is kept for later so that the gun stays wet, tasks move by themselves, and what would miss its show comes sooner; each
 * with what it waits for, all else in its place. What is a little worse is gone on with too, to begin with (annealing).
 * Decides for itself where a way of deciding does not come to: by ranks a small change makes another plan of all that follows.
 */
final class LongOrders
{
    /** Minutes of loss that are taken lightly to begin with, and at last. */
    private const HOT = 2.0;

    private const COLD = 0.8;

    /** Seconds by which a task may begin too late for its show, to begin with: who is later is not asked to the end. */
    private const LATER = 43200;

    /** Minutes at the guns a day is told for by which something begins too late for its show; so many days at most. */
    private const A_DAY_LATE = 15.0;

    private const DAYS = 10;

    /** Minutes to the ends of builds that are told for one at the guns. */
    private const FINISHES = 500;

    /** Minutes at the guns for a paint of which every coat has a loading to itself: a large loading and a small one are nearer to one than two of a size. */
    private const PARTED = 4.0;

    /** Orders after which it is asked whether to go on. */
    private const ASKS = 20;

    private readonly Following $following;

    /** @var array<int, int> */
    private readonly array $later;

    /**
     * @param  Replay  $replay  of the same tasks
     * @param  array<int, int>  $latest  when each task has to begin at the latest, of those whose build has a show
     * @param  int  $keeps  how many of the first tasks stay as they are
     */
    public function __construct(private readonly Tasks $tasks, private readonly Ways $ways, private readonly Replay $replay, private readonly Randomizer $random, private readonly array $latest, private readonly int $keeps = 0)
    {
        $this->following = new Following($tasks);
        $this->later = array_map(static fn (int $start): int => $start + self::LATER, $latest);
    }

    /**
     * @param  callable(): bool  $goesOn
     * @return list<int>|null a better order; null where none was found
     */
    public function better(Trial $from, int $trials, callable $goesOn): ?array
    {
        $at = $this->trial($from->timed->order);
        if ($at === null || count($at->timed->order) < $this->keeps + 2) {
            return null;
        }
        [$best, $cost] = [$at, $this->cost($at)];
        $this->replay->keep($at->timed->order);
        for ($n = 0; $n < $trials; $n++) {
            if ($n % self::ASKS === 0 && ! $goesOn()) {
                return null;
            }
            $trial = $this->trial($this->moved($at), $at->score->late > 0 ? [] : $this->later);
            $its = $trial === null ? INF : $this->cost($trial);
            if ($trial === null || ! Annealing::takes($this->random, $its - $cost, self::COLD + (self::HOT - self::COLD) * (1 - $n / $trials) ** 2)) {
                continue;
            }
            [$at, $cost] = [$trial, $its];
            $this->replay->keep($trial->timed->order);
            $best = $trial->score->isBetterThan($best->score) ? $trial : $best;
        }

        return $best->score->isBetterThan($from->score) ? $best->timed->order : null;
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, int>  $latest  no task may begin later, and no more has to be timed where one does
     */
    private function trial(array $order, array $latest = []): ?Trial
    {
        $timed = $this->replay->timed($order, $latest);

        return $timed === null ? null : $this->ways->asOrdered($timed);
    }

    /** Minutes at the guns, and what is told for some. */
    private function cost(Trial $trial): float
    {
        $late = $trial->score->late > 0 ? self::LATER : 0;
        foreach ($this->latest as $i => $latest) {
            $late = max($late, $trial->timed->start[$i] - $latest);
        }
        $parted = 0.0;
        foreach ($trial->loads($this->tasks) as $loads) {
            $many = array_map(count(...), $loads);
            $parted += 1 - array_sum(array_map(static fn (int $n): int => $n * $n, $many)) / array_sum($many) ** 2;
        }

        return $trial->score->gun / 60 + self::A_DAY_LATE * min(self::DAYS, $late / 86400) + $trial->score->finishes / 60 / self::FINISHES + self::PARTED * $parted;
    }

    /** @return list<int> */
    private function moved(Trial $at): array
    {
        $order = $at->timed->order;
        $late = $at->score->late > 0 && $this->random->getInt(0, 1) === 0 ? $this->late($at) : null;
        if ($late !== null) {
            return $this->following->sooner($order, max($this->keeps, $late - $this->random->getInt(1, 150)), $late, [$order[$late] => true]);
        }
        $loads = $at->loads($this->tasks);
        if ($loads !== [] && $this->random->getInt(0, 1) === 0) {
            return $this->loaded($order, $loads);
        }
        $last = count($order) - 1;
        $from = $this->random->getInt($this->keeps, $last - 1);
        $until = min($last, $from + $this->random->getInt(1, $this->random->getInt(0, 3) === 0 ? 200 : 60));

        return $this->random->getInt(0, 1) === 0 ? $this->following->sooner($order, $from, $until, [$order[$until] => true]) : $this->following->later($order, $from, $until, [$order[$from] => true]);
    }

    /** @return int|null place of the first that begins too late for its show */
    private function late(Trial $at): ?int
    {
        foreach ($at->timed->order as $place => $i) {
            if ($place > $this->keeps && $at->timed->start[$i] > ($this->latest[$i] ?? PHP_INT_MAX)) {
                return $place;
            }
        }

        return null;
    }

    /**
     * @param  list<int>  $order
     * @param  non-empty-array<int, list<non-empty-list<int>>>  $loads
     * @return list<int>
     */
    private function loaded(array $order, array $loads): array
    {
        $of = $loads[array_keys($loads)[$this->random->getInt(0, count($loads) - 1)]];
        $k = $this->random->getInt(0, count($of) - 2);
        [$one, $next] = [$of[$k], $of[$k + 1]];
        $place = array_flip($order);
        $last = $one[count($one) - 1];
        $kind = $this->random->getInt(0, 4);
        $these = array_values(array_filter(match (true) {
            $kind === 4 => [$last],
            $this->random->getInt(0, 1) === 0 => $kind < 2 ? $next : $one,
            default => $kind < 2 ? [$next[$this->random->getInt(0, count($next) - 1)]] : [$one[$this->random->getInt(0, count($one) - 1)]],
        }, fn (int $i): bool => $place[$i] >= $this->keeps));
        if ($these === []) {
            return $order;
        }
        $places = array_map(static fn (int $i): int => $place[$i], $these);
        $until = $place[$next[0]] - 1;

        return match (true) {
            $kind < 2 => $this->following->sooner($order, max($this->keeps, $place[$last] + 1), max($places), array_fill_keys($these, true)),
            $kind < 4 => $this->following->later($order, min($places), $until, array_fill_keys($these, true)),
            default => $this->following->later($order, $place[$last], min($until, $place[$last] + $this->random->getInt(1, 6)), [$last => true]),
        };
    }
}
