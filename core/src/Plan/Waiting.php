<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Countdown;
use AmberStep\Core\Step\Standing;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Step\Together;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Strength;

/** Which steps may be done next: those that wait for none that is left. */
final class Waiting implements Standing
{
    /** @var array<string, int> how many steps that are left have to be done before one, by key */
    private array $open;

    /** @var array<string, list<string>> keys that wait for one, by key */
    private array $unlocks = [];

    /** @var array<string, list<Countdown>> of what begins together, by key of what makes a piece ready */
    private array $counts = [];

    /** @var array<string, list<array{Together, list<string>}>> what a step begins together with, and keys of what is left to make pieces ready, what is done last first, by key */
    private array $readyFor = [];

    /** @var array<string, int> */
    private readonly array $places;

    /** @var array<string, true> colours that are on some piece */
    private readonly array $begun;

    /** @param  array<string, Step>  $left  by key, in the plan's order */
    public function __construct(private readonly array $left, private readonly Sequencer $sequence, Context $context)
    {
        $this->places = array_flip(array_keys($left));
        $this->open = array_fill_keys(array_keys($left), 0);
        $this->begun = self::begun($context);
        foreach ($left as $key => $_) {
            foreach ($this->alone($key) as $before => $_) {
                $this->open[$key]++;
                $this->unlocks[$before][] = $key;
            }
        }
        foreach ($sequence->together() as $together) {
            if (! isset($this->begun[$together->of])) {
                $this->begin($together);
            }
        }
    }

    private function begin(Together $together): void
    {
        $ready = array_keys(array_intersect_key($together->ready, $this->left));
        usort($ready, fn (string $a, string $b): int => $this->places[$b] <=> $this->places[$a]);
        $count = new Countdown($together, $ready);
        foreach ($ready as $key) {
            $this->counts[$key][] = $count;
        }
        foreach ($together->begin as $key => $_) {
            $this->readyFor[$key][] = [$together, $ready];
            if (isset($this->open[$key]) && $count->waits($key)) {
                $this->open[$key]++;
            }
        }
    }

    /** @return list<int> places of the steps that wait for none to begin with */
    public function free(): array
    {
        return array_values(array_map(fn (string $key): int => $this->places[$key], array_keys(array_filter($this->open, static fn (int $n): bool => $n === 0))));
    }

    /** What waits for what, as arrays by place: before anything is done. */
    public function into(Tasks $tasks): void
    {
        $tasks->open = array_values($this->open);
        foreach ($this->unlocks as $key => $next) {
            $tasks->unlocks[$this->places[$key]] = array_map(fn (string $one): int => $this->places[$one], $next);
        }
        $groups = [];
        foreach ($this->counts as $key => $counts) {
            foreach ($counts as $count) {
                $groups[spl_object_id($count)] ??= [count($groups), $count];
                $tasks->readies[$this->places[$key]][] = [$groups[spl_object_id($count)][0], $count->pieceOf($key)];
            }
        }
        foreach ($groups as [$n, $count]) {
            $tasks->groups[$n] = [$count->open(), $count->begin($this->places)];
        }
    }

    public function reasons(string $key): array
    {
        return $this->sequence->waitsOn($key);
    }

    public function waitsOn(string $key): array
    {
        $on = array_keys($this->alone($key));
        foreach ($this->readyFor[$key] ?? [] as [$together, $ready]) {
            array_push($on, ...array_filter($ready, static fn (string $one): bool => $together->ordersBefore($one, $key)));
        }
        $on = array_values(array_unique($on));
        usort($on, fn (string $a, string $b): int => $this->places[$b] <=> $this->places[$a]);

        return $on;
    }

    public function shutBy(string $key): ?string
    {
        $last = null;
        foreach ($this->sequence->alone($key) as $before => $constraint) {
            $place = $this->places[$before] ?? -1;
            if ($place > ($this->places[$last] ?? -1) && ! $this->hasBegun($constraint)) {
                $last = $before;
            }
        }
        foreach ($this->readyFor[$key] ?? [] as [$together, $ready]) {
            foreach ($ready as $one) {
                if ($together->ordersBefore($one, $key)) {
                    $last = $this->places[$one] > ($this->places[$last] ?? -1) ? $one : $last;
                    break;
                }
            }
        }

        return $last;
    }

    /** @return list<int> places of those that wait for none any more, once a step is done */
    public function done(string $key): array
    {
        $next = $this->unlocks[$key] ?? [];
        foreach ($this->counts[$key] ?? [] as $count) {
            array_push($next, ...$count->done($key));
        }
        $fresh = [];
        foreach ($next as $one) {
            if (isset($this->open[$one]) && --$this->open[$one] === 0) {
                $fresh[] = $this->places[$one];
            }
        }

        return $fresh;
    }

    /** @return array<string, Constraint> what is left and comes before a step for itself, not with others, by key */
    private function alone(string $key): array
    {
        return array_filter($this->sequence->alone($key), fn (Constraint $c): bool => isset($this->places[$c->before]) && ! $this->hasBegun($c));
    }

    /** Once a colour is on one piece, nothing is gained by letting the others wait for the last. */
    private function hasBegun(Constraint $constraint): bool
    {
        return ($constraint->strength === Strength::SameColour || $constraint->strength === Strength::SameColourThatMustMatch) && isset($this->begun[$this->left[$constraint->after]->counted()]);
    }

    /** @return array<string, true> */
    private static function begun(Context $context): array
    {
        $begun = [];
        foreach ($context->kit->areas as $area) {
            $colour = $area->intent->colour;
            if ($colour !== null && $context->surface->area($area->id)->count(Operation::Colour, $colour) > 0) {
                $begun[$colour] = true;
            }
        }

        return $begun;
    }
}
