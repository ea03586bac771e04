<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Order;

/** By what was sprayed and what last, the least that is to come: dynamic programming from the whole model back. */
final readonly class ToCome
{
    /** @var array<int, array<int, float>> minutes of the stages there may be, by what was sprayed and what is next */
    public array $stages;

    /** @var array<int, array<int, float>> by what was sprayed, the last too, and what last */
    private array $rest;

    /** @var array<int, array<int, float>> */
    private array $change;

    /** @param  OrderProblem  $problem  of as many colours as can be proven */
    public function __construct(OrderProblem $problem, int $shades)
    {
        $n = $problem->count();
        $all = $problem->all();
        $change = [];
        for ($last = 0; $last < $n; $last++) {
            for ($next = 0; $next < $n; $next++) {
                $change[$last][$next] = $problem->change($last, $next);
            }
        }
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
        [$this->stages, $this->rest, $this->change] = [$stages, $rest, $change];
    }

    /** Minutes of going on with an entry: the change of paint and its stage. */
    public function step(?int $last, int $next, int $sprayed): float
    {
        return $this->stages[$sprayed][$next] + ($last === null ? OrderProblem::LOAD : $this->change[$last][$next]);
    }

    /** Least minutes after an entry was sprayed. */
    public function after(int $next, int $sprayed): float
    {
        return $this->rest[$sprayed | 1 << $next][$next] ?? 0.0;
    }

    /**
     * Of the cheapest orders the one that keeps most to the problem's own list.
     *
     * @return list<int>
     */
    public function nearest(): array
    {
        $most = INF;
        foreach (array_keys($this->stages[0] ?? []) as $next) {
            $most = min($most, $this->step(null, $next, 0) + $this->after($next, 0));
        }
        $most += 1e-6;
        $order = [];
        $sprayed = 0;
        $minutes = 0.0;
        while (isset($this->stages[$sprayed])) {
            $last = $order[count($order) - 1] ?? null;
            foreach (array_keys($this->stages[$sprayed]) as $next) {
                $on = $minutes + $this->step($last, $next, $sprayed);
                if ($on + $this->after($next, $sprayed) <= $most) {
                    [$order[], $minutes, $sprayed] = [$next, $on, $sprayed | 1 << $next];

                    continue 2;
                }
            }
            break;
        }

        return $order;
    }
}
