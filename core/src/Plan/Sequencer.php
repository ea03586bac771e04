<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Step\Circle;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Countdown;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Step\Together;

/**
 * One order for all steps that keeps every must, and every rather that leads into no circle. Ties: trade
 * order, coat, position, key; never the order in which rules spoke.
 */
final class Sequencer
{
    /** @var list<Circle> */
    public array $circles = [];

    /** @var array<string, array<string, Constraint>> after => before => strongest constraint kept */
    private array $before = [];

    /** @var array<string, list<string>> keys of those that come after one; dropped constraints stay here */
    private array $after = [];

    /** @var list<Together> what is ordered together, until a circle asks for it one by one */
    private array $together = [];

    /** @var array<string, int> place of each step in the order, once there is one */
    private array $order = [];

    /**
     * @param  array<string, Step>  $steps
     * @param  iterable<Constraint|Together>  $constraints
     */
    public function __construct(private readonly array $steps, iterable $constraints)
    {
        foreach ($constraints as $c) {
            if ($c instanceof Together) {
                $this->together[] = $c;
            } elseif ($c->before !== $c->after && isset($steps[$c->before], $steps[$c->after])) {
                $this->keep($c);
            }
        }
    }

    /** @return list<string> keys in order */
    public function order(): array
    {
        $places = $this->places();
        $keys = array_keys($places);
        $counts = array_map(static fn (Together $t): Countdown => new Countdown($t, array_keys($t->ready)), $this->together);
        $waiting = $this->waiting([]);
        /** @var array<string, list<Countdown>> $countsOf */
        $countsOf = [];
        foreach ($counts as $count) {
            foreach ($count->together->ready as $key => $_) {
                $countsOf[$key][] = $count;
            }
            foreach ($count->together->begin as $key => $_) {
                $waiting[$key] += (int) $count->waits($key);
            }
        }
        /** @var \SplMinHeap<int> $ready */
        $ready = new \SplMinHeap;
        foreach ($waiting as $key => $count) {
            if ($count === 0) {
                $ready->insert($places[$key]);
            }
        }
        $out = [];
        while (count($out) < count($this->steps)) {
            if ($ready->isEmpty()) {
                if ($this->together !== []) {
                    $this->oneByOne();
                    $countsOf = [];
                    $waiting = $this->waiting(array_flip($out));
                }
                $dropped = $this->breakCircle(array_diff_key($this->steps, array_flip($out)));
                if (--$waiting[$dropped->after] === 0) {
                    $ready->insert($places[$dropped->after]);
                }

                continue;
            }
            $key = $keys[$ready->extract()];
            $out[] = $key;
            $next = [];
            foreach ($this->after[$key] ?? [] as $after) {
                if (isset($this->before[$after][$key])) {
                    $next[] = $after;
                }
            }
            foreach ($countsOf[$key] ?? [] as $count) {
                array_push($next, ...$count->done($key));
            }
            foreach ($next as $after) {
                if (--$waiting[$after] === 0) {
                    $ready->insert($places[$after]);
                }
            }
        }
        $this->order = array_flip($out);

        return $out;
    }

    /** @return list<Constraint> what a step comes after, what is done last first; known once the order is */
    public function waitsOn(string $key): array
    {
        $before = $this->before[$key] ?? [];
        foreach ($this->together as $together) {
            foreach ($together->before($key) as $c) {
                $before[$c->before] = self::stronger($before[$c->before] ?? null, $c);
            }
        }
        uksort($before, fn (string $a, string $b): int => $this->order[$b] <=> $this->order[$a]);

        return array_values($before);
    }

    /** @return array<string, Constraint> what a step comes after for itself, not with others, by key of that */
    public function alone(string $key): array
    {
        return $this->before[$key] ?? [];
    }

    /** @return list<Together> */
    public function together(): array
    {
        return $this->together;
    }

    private function keep(Constraint $c): void
    {
        $known = $this->before[$c->after][$c->before] ?? null;
        if ($known === null) {
            $this->after[$c->before][] = $c->after;
        }
        $this->before[$c->after][$c->before] = self::stronger($known, $c);
    }

    private static function stronger(?Constraint $known, Constraint $c): Constraint
    {
        return $known === null || [$known->strength->value, $c->rule] < [$c->strength->value, $known->rule] ? $c : $known;
    }

    /** A circle is told, and broken, constraint by constraint. */
    private function oneByOne(): void
    {
        foreach ($this->together as $together) {
            foreach ($together->begin as $key => $_) {
                foreach ($together->before($key) as $c) {
                    $this->keep($c);
                }
            }
        }
        $this->together = [];
    }

    /**
     * @param  array<string, int>  $done  by key
     * @return array<string, int> how many steps each waits for, by key
     */
    private function waiting(array $done): array
    {
        $waiting = [];
        foreach ($this->steps as $key => $_) {
            $waiting[$key] = count(array_diff_key($this->before[$key] ?? [], $done));
        }

        return $waiting;
    }

    /** @return array<string, int> */
    private function places(): array
    {
        $steps = $this->steps;
        uasort($steps, static fn (Step $a, Step $b): int => [$a->rank, $a->n, $a->position, $a->key] <=> [$b->rank, $b->n, $b->position, $b->key]);

        return array_flip(array_keys($steps));
    }

    /** @param  array<string, Step>  $left steps that are stuck */
    private function breakCircle(array $left): Constraint
    {
        $chain = $this->findCircle($left);
        $dropped = $chain[0];
        foreach ($chain as $c) {
            if ([$c->strength->value, $c->rule, $c->before, $c->after] < [$dropped->strength->value, $dropped->rule, $dropped->before, $dropped->after]) {
                $dropped = $c;
            }
        }
        $this->circles[] = new Circle($chain, $dropped);
        unset($this->before[$dropped->after][$dropped->before]);

        return $dropped;
    }

    /**
     * @param  array<string, Step>  $left
     * @return non-empty-list<Constraint>
     */
    private function findCircle(array $left): array
    {
        $keys = array_keys($left);
        sort($keys);
        $key = $keys[0] ?? throw new \LogicException('a circle is only looked for among stuck steps');
        $path = [];
        $seen = [];
        // Every stuck step waits on a stuck step: walking back must come round.
        while (! isset($seen[$key])) {
            $seen[$key] = count($path);
            $stuck = array_intersect_key($this->before[$key] ?? [], $left);
            ksort($stuck);
            $path[] = $constraint = array_values($stuck)[0] ?? throw new \LogicException('a stuck step waits on nothing');
            $key = $constraint->before;
        }
        $circle = array_reverse(array_slice($path, $seen[$key]));

        return $circle === [] ? throw new \LogicException('a circle has steps') : $circle;
    }
}
