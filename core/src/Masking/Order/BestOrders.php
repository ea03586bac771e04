<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Order;

use SplPriorityQueue;

/**
 * The best orders of colours: proven to twelve colours by dynamic programming over what was sprayed and what last, above
 * that the best found, with a bound below which none is.
 */
final readonly class BestOrders
{
    /** Colours up to which it is proven. */
    public const PROVEN = 12;

    /** @var list<Ordered> the best first */
    public array $orders;

    public bool $isProven;

    /** Minutes below which no order is. */
    public float $bound;

    public function __construct(OrderProblem $problem, int $many = 3)
    {
        $this->isProven = $problem->count() <= self::PROVEN;
        $orders = [];
        foreach ($problem->shadeSets() as $shades) {
            array_push($orders, ...($this->isProven ? self::proven($problem, $shades, $many) : [(new NearOrder($problem, $shades))->found()]));
        }
        usort($orders, static fn (Ordered $a, Ordered $b): int => [$a->minutes, $a->shades, $a->order] <=> [$b->minutes, $b->shades, $b->order]);
        // One order is told once, with the shades under which it is best.
        $told = [];
        foreach ($orders as $one) {
            $told[implode(' ', $one->order)] ??= $one;
        }
        $this->orders = array_slice(array_values($told), 0, $many);
        $this->bound = $this->isProven ? ($this->orders[0]->minutes ?? 0.0) : NearOrder::bound($problem);
    }

    /** @return list<Ordered> */
    private static function proven(OrderProblem $problem, int $shades, int $many): array
    {
        $n = $problem->count();
        if ($n === 0) {
            return [];
        }
        $all = $problem->all();
        $change = [];
        for ($last = 0; $last < $n; $last++) {
            for ($next = 0; $next < $n; $next++) {
                $change[$last][$next] = $problem->change($last, $next);
            }
        }
        // By what was sprayed and what last, the least that is to come; from the whole model back.
        $rest = array_fill(0, $all + 1, []);
        $rest[$all] = array_fill(0, $n, 0.0);
        $stages = [];
        for ($sprayed = $all - 1; $sprayed >= 0; $sprayed--) {
            $steps = [];
            for ($next = 0; $next < $n; $next++) {
                if (($sprayed >> $next & 1) === 0 && $problem->mayFollow($next, $sprayed) && isset($rest[$sprayed | 1 << $next][$next])) {
                    $stages[$sprayed][$next] = $stage = $problem->stage($next, $sprayed, $shades);
                    $steps[$next] = $stage + $rest[$sprayed | 1 << $next][$next];
                }
            }
            for ($last = 0; $last < $n && $steps !== [] && $sprayed > 0; $last++) {
                if (($sprayed >> $last & 1) === 1) {
                    $from = $change[$last];
                    $least = INF;
                    foreach ($steps as $next => $minutes) {
                        $minutes += $from[$next];
                        $least = $minutes < $least ? $minutes : $least;
                    }
                    $rest[$sprayed][$last] = $least;
                }
            }
        }

        return self::first($problem, $shades, $many, $rest, $stages, $change);
    }

    /**
     * From the front, always going on with what promises least: as what is to come is known exactly, whole orders come out
     * the best first.
     *
     * @param  array<int, array<int, float>>  $rest
     * @param  array<int, array<int, float>>  $stages
     * @param  array<int, array<int, float>>  $change
     * @return list<Ordered>
     */
    private static function first(OrderProblem $problem, int $shades, int $many, array $rest, array $stages, array $change): array
    {
        $queue = new SplPriorityQueue;
        $queue->setExtractFlags(SplPriorityQueue::EXTR_DATA);
        $queue->insert([[], 0, 0.0], 0.0);
        $found = [];
        while (! $queue->isEmpty() && count($found) < $many) {
            /** @var array{list<int>, int, float} $way */
            $way = $queue->extract();
            [$order, $sprayed, $minutes] = $way;
            if ($sprayed === $problem->all()) {
                $found[] = Ordered::of($problem, $order, $shades);

                continue;
            }
            $last = $order[count($order) - 1] ?? null;
            foreach ($stages[$sprayed] ?? [] as $next => $stage) {
                $on = $minutes + $stage + ($last === null ? OrderProblem::LOAD : $change[$last][$next]);
                $queue->insert([[...$order, $next], $sprayed | 1 << $next, $on], -($on + ($rest[$sprayed | 1 << $next][$next] ?? 0.0)));
            }
        }

        return $found;
    }
}
