<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Order;

/** An order of more colours than can be proven: the cheapest stage first, then moved one by one while that saves anything. */
final readonly class NearOrder
{
    public function __construct(private OrderProblem $problem, private int $shades)
    {
    }

    public function found(): Ordered
    {
        $best = Ordered::of($this->problem, $this->greedy(), $this->shades);
        do {
            $before = $best->minutes;
            foreach ($best->order as $from => $entry) {
                for ($to = 0, $n = count($best->order); $to < $n; $to++) {
                    $order = $best->order;
                    array_splice($order, $from, 1);
                    array_splice($order, $to, 0, [$entry]);
                    $one = Ordered::broken($this->problem, $order) === [] ? Ordered::of($this->problem, $order, $this->shades) : $best;
                    if ($one->minutes < $best->minutes - 1e-9) {
                        $best = $one;

                        continue 3;
                    }
                }
            }
        } while ($best->minutes < $before - 1e-9);

        return $best;
    }

    /** @return list<int> */
    private function greedy(): array
    {
        $order = [];
        $sprayed = 0;
        $last = null;
        for ($i = 0, $n = $this->problem->count(); $i < $n; $i++) {
            $best = [INF, -1];
            for ($next = 0; $next < $n; $next++) {
                if (($sprayed >> $next & 1) === 0 && $this->problem->mayFollow($next, $sprayed)) {
                    $best = min($best, [$this->problem->stage($next, $sprayed, $this->shades) + $this->problem->change($last, $next), $next]);
                }
            }
            $last = $best[1];
            $sprayed |= 1 << $last;
            $order[] = $last;
        }

        return $order;
    }

    /** No order is below it: each area in as few coats as any ground lets it, each edge laid once, all fields but the largest of each piece. */
    public static function bound(OrderProblem $problem): float
    {
        $minutes = OrderProblem::LOAD * count(array_unique(array_column($problem->entries, 'paint')));
        $edges = $fields = [];
        foreach ($problem->areas as $i => $area) {
            $minutes += $area->coatMinutes(min($area->coats));
            $fields[$area->piece][$area->entry] = ($fields[$area->piece][$area->entry] ?? 0.0) + $area->fieldMinutes();
            foreach ($area->edges as $other => [, $edge]) {
                $edges[$area->piece][min($area->entry, $other)][max($area->entry, $other)][$i] = $edge;
            }
        }
        foreach ($fields as $piece => $byEntry) {
            $minutes += array_sum($byEntry) - max($byEntry);
            foreach ($edges[$piece] ?? [] as $pairs) {
                foreach ($pairs as $both) {
                    // Laid from the one side or from the other, and told by both.
                    $minutes += array_sum($both) / 2;
                }
            }
        }

        return $minutes;
    }
}
