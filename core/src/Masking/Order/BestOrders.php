<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Order;

use SplPriorityQueue;

/**
 * The best orders of colours, each part of the model for itself: proven to twelve colours of a part by dynamic programming
 * over what was sprayed and what last, above that the best found, with a bound below which none is.
 */
final readonly class BestOrders
{
    /** Colours of a part up to which it is proven. */
    public const PROVEN = 12;

    /** @var list<Ordered> the best first; two differ in which of two colours of one piece is sprayed first */
    public array $orders;

    public bool $isProven;

    /** Minutes below which no order is. */
    public float $bound;

    public function __construct(OrderProblem $problem, int $many = 3)
    {
        $parts = $problem->parts();
        $this->isProven = array_filter($parts, static fn (array $part): bool => $part[1]->count() > self::PROVEN) === [];
        $told = [];
        foreach (self::shadeSets($problem) as $shades) {
            $ways = [[0.0, []]];
            foreach ($parts as [$entries, $part]) {
                $of = $part->count() <= self::PROVEN ? self::first($part, $shades, $many) : [(new NearOrder($part, $shades))->found()];
                $ways = self::combined($ways, $of, $entries, $many);
            }
            foreach ($ways as [, $lists]) {
                $one = Ordered::of($problem, self::merged($problem, $lists), $shades);
                $key = self::matters($problem, $one->order);
                // One order is told once, with the shades under which it is best.
                $told[$key] = isset($told[$key]) && $told[$key]->minutes <= $one->minutes + 1e-6 ? $told[$key] : $one;
            }
        }
        usort($told, static fn (Ordered $a, Ordered $b): int => [round($a->minutes, 6), $a->shades, $a->order] <=> [round($b->minutes, 6), $b->shades, $b->order]);
        $this->orders = $problem->count() === 0 ? [] : array_slice($told, 0, $many);
        $this->bound = $this->isProven ? ($this->orders[0]->minutes ?? 0.0) : NearOrder::bound($problem);
    }

    /**
     * Sets of shades besides the own that may pay: each that saves an area a coat.
     *
     * @return list<int> as bits, the own shades alone first
     */
    private static function shadeSets(OrderProblem $problem): array
    {
        $useful = [];
        foreach ($problem->areas as $area) {
            foreach ($area->coats as $shade => $coats) {
                if ($coats < $area->coats[0]) {
                    $useful[$shade] = 1 << $shade;
                }
            }
        }
        $sets = [1];
        foreach ($useful as $bit) {
            foreach ($sets as $set) {
                $sets[] = $set | $bit;
            }
        }

        return $sets;
    }

    /**
     * @param  list<array{float, list<list<int>>}>  $ways  minutes, and an order of each part so far
     * @param  list<Ordered>  $of  one part more
     * @param  list<int>  $entries  of it
     * @return list<array{float, list<list<int>>}>
     */
    private static function combined(array $ways, array $of, array $entries, int $many): array
    {
        $all = [];
        foreach ($ways as [$minutes, $lists]) {
            foreach ($of as $one) {
                $all[] = [$minutes + $one->minutes, [...$lists, array_map(static fn (int $i): int => $entries[$i], $one->order)]];
            }
        }
        usort($all, static fn (array $a, array $b): int => [round($a[0], 6), $a[1]] <=> [round($b[0], 6), $b[1]]);

        return array_slice($all, 0, $many);
    }

    /**
     * The orders of the parts as one: of those whose turn it is the first in the problem's own list, and a paint that is in
     * the gun is sprayed on.
     *
     * @param  list<list<int>>  $lists
     * @return list<int>
     */
    private static function merged(OrderProblem $problem, array $lists): array
    {
        $order = [];
        while (($lists = array_values(array_filter($lists, static fn (array $l): bool => $l !== []))) !== []) {
            $heads = array_map(static fn (array $l): int => $l[0], $lists);
            $which = (int) array_search(min($heads), $heads, true);
            $paint = $problem->entries[$heads[$which]]->paint;
            do {
                $order[] = $lists[$which][0];
                $lists[$which] = array_slice($lists[$which], 1);
            } while ($lists[$which] !== [] && $problem->entries[$lists[$which][0]]->paint === $paint);
        }

        return $order;
    }

    /**
     * Whether an order that goes on so is the one told of all that differ only in what has nothing to do with one another:
     * no later entry of the list could change places with the next. Next to a paint that returns it matters what is between.
     *
     * @param  list<int>  $order
     */
    private static function isFirstOfItsKind(array $order, int $next, OrderProblem $problem): bool
    {
        for ($i = count($order) - 1; $i >= 0 && ! $problem->hangTogether($order[$i], $next) && ! $problem->returns($order[$i]) && ! $problem->returns($next); $i--) {
            if ($order[$i] > $next) {
                return false;
            }
        }

        return true;
    }

    /**
     * The order to plan by: of the cheapest the one nearest to the problem's own list, under the primers the pieces have.
     */
    public static function planned(OrderProblem $problem): Ordered
    {
        $lists = [];
        foreach ($problem->parts() as [$entries, $part]) {
            $order = $part->count() <= self::PROVEN ? (new ToCome($part, 1))->nearest() : (new NearOrder($part, 1))->found()->order;
            $lists[] = array_map(static fn (int $i): int => $entries[$i], $order);
        }

        return Ordered::of($problem, self::merged($problem, $lists));
    }

    /**
     * From the front, always going on with what promises least: as what is to come is known exactly, whole orders come out
     * the best first; among equals the one that keeps to the list.
     *
     * @return list<Ordered>
     */
    private static function first(OrderProblem $problem, int $shades, int $many): array
    {
        $toCome = new ToCome($problem, $shades);
        $queue = new SplPriorityQueue;
        $queue->setExtractFlags(SplPriorityQueue::EXTR_DATA);
        $queue->insert([[], 0, 0.0, ''], [0.0, '']);
        $found = [];
        while (! $queue->isEmpty() && count($found) < $many) {
            /** @var array{list<int>, int, float, string} $way */
            $way = $queue->extract();
            [$order, $sprayed, $minutes, $mark] = $way;
            if ($sprayed === $problem->all()) {
                $found[self::matters($problem, $order)] ??= Ordered::of($problem, $order, $shades);

                continue;
            }
            $last = $order[count($order) - 1] ?? null;
            foreach (array_keys($toCome->stages[$sprayed] ?? []) as $next) {
                if (! self::isFirstOfItsKind($order, $next, $problem)) {
                    continue;
                }
                $on = $minutes + $toCome->step($last, $next, $sprayed);
                $itsMark = $mark.chr(127 - $next);
                $queue->insert([[...$order, $next], $sprayed | 1 << $next, $on, $itsMark], [-round($on + $toCome->after($next, $sprayed), 6), $itsMark]);
            }
        }

        return array_values($found);
    }

    /**
     * What of an order matters: of two that hang together, which is first.
     *
     * @param  list<int>  $order
     */
    public static function matters(OrderProblem $problem, array $order): string
    {
        $place = array_flip($order);
        ksort($place);
        $mark = '';
        foreach ($place as $a => $at) {
            foreach ($place as $b => $then) {
                $mark .= $a < $b && $problem->hangTogether($a, $b) ? ($at < $then ? '<' : '>') : '.';
            }
        }

        return $mark;
    }
}
