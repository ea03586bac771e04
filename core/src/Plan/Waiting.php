<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Strength;

/** Which steps may be done next: those that wait for none that is left. */
final class Waiting
{
    /** @var array<string, list<string>> keys of steps that are left and have to be done first, by key */
    private array $on = [];

    /** @var array<string, int> how many of them are left */
    private array $open = [];

    /** @var array<string, list<string>> keys that wait for one, by key */
    private array $unlocks = [];

    /** @var array<string, int> */
    private readonly array $places;

    /** @var array<string, true> colours that are on some piece */
    private readonly array $begun;

    /** @param  array<string, Step>  $left  by key, in the plan's order */
    public function __construct(array $left, Sequencer $sequence, Context $context)
    {
        $this->places = array_flip(array_keys($left));
        $this->begun = self::begun($context);
        foreach ($left as $key => $step) {
            $on = [];
            foreach ($sequence->waitsOn($key) as $constraint) {
                if (isset($left[$constraint->before]) && ! $this->hasBegun($constraint, $step)) {
                    $on[] = $constraint->before;
                    $this->unlocks[$constraint->before][] = $key;
                }
            }
            $this->on[$key] = $on;
            $this->open[$key] = count($on);
        }
    }

    /** @return list<int> places of the steps that wait for none to begin with */
    public function free(): array
    {
        return array_values(array_map(fn (string $key): int => $this->places[$key], array_keys(array_filter($this->open, static fn (int $n): bool => $n === 0))));
    }

    /** @return list<string> keys of steps that have to be done before one, and were not when planning began */
    public function on(string $key): array
    {
        return $this->on[$key];
    }

    /** @return list<int> places of those that wait for none any more, once a step is done */
    public function done(string $key): array
    {
        $fresh = [];
        foreach ($this->unlocks[$key] ?? [] as $next) {
            if (--$this->open[$next] === 0) {
                $fresh[] = $this->places[$next];
            }
        }

        return $fresh;
    }

    /** Once a colour is on one piece, nothing is gained by letting the others wait for the last. */
    private function hasBegun(Constraint $constraint, Step $step): bool
    {
        return ($constraint->strength === Strength::SameColour || $constraint->strength === Strength::SameColourThatMustMatch) && isset($this->begun[$step->counted()]);
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
