<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Step\Circle;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Step;

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

    /** @var array<string, list<Constraint>> what each step waits on, in the order in which it is done */
    private array $known = [];

    /**
     * @param  array<string, Step>  $steps
     * @param  iterable<Constraint>  $constraints
     */
    public function __construct(private readonly array $steps, iterable $constraints)
    {
        foreach ($constraints as $c) {
            if ($c->before === $c->after || ! isset($steps[$c->before], $steps[$c->after])) {
                continue;
            }
            $known = $this->before[$c->after][$c->before] ?? null;
            if ($known === null) {
                $this->after[$c->before][] = $c->after;
                $this->before[$c->after][$c->before] = $c;
            } elseif ([$known->strength->value, $c->rule] < [$c->strength->value, $known->rule]) {
                $this->before[$c->after][$c->before] = $c;
            }
        }
    }

    /** @return list<string> keys in order */
    public function order(): array
    {
        $places = $this->places();
        $keys = array_keys($places);
        $waiting = [];
        foreach ($this->steps as $key => $_) {
            $waiting[$key] = count($this->before[$key] ?? []);
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
                $dropped = $this->breakCircle(array_diff_key($this->steps, array_flip($out)));
                if (--$waiting[$dropped->after] === 0) {
                    $ready->insert($places[$dropped->after]);
                }

                continue;
            }
            $key = $keys[$ready->extract()];
            $out[] = $key;
            foreach ($this->after[$key] ?? [] as $next) {
                $constraint = $this->before[$next][$key] ?? null;
                if ($constraint !== null) {
                    $this->known[$next][] = $constraint;
                    if (--$waiting[$next] === 0) {
                        $ready->insert($places[$next]);
                    }
                }
            }
        }

        return $out;
    }

    /** @return list<Constraint> the constraints a step waits on, what lets it go last first; known once the order is */
    public function waitsOn(string $key): array
    {
        return array_reverse($this->known[$key] ?? []);
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
