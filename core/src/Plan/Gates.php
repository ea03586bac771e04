<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\ShutsGates;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;

/** What the rules hold by place and not by step, as gates of one build. */
final readonly class Gates
{
    /** @var array<string, true> ids of rules that hold by place */
    private array $ids;

    public function __construct(private Thread $thread, private RuleBook $rules)
    {
        $this->ids = array_fill_keys(array_map(static fn (ShutsGates $rule): string => $rule->id(), $rules->gates), true);
    }

    /** What was planned to hold by a place is a gate, and no arc: but a joint's full strength, which one step alone waits for. */
    public function stands(Hold $hold): bool
    {
        return isset($this->ids[$hold->rule]) && $hold->kind !== HoldKind::Full && str_starts_with($hold->began() ?? '', 'plan:');
    }

    /** @return list<string> gates a step has to pass */
    public function passedBy(Step $step): array
    {
        $passes = [];
        foreach ($this->rules->gates as $rule) {
            foreach ($rule->concerns($step->operation) ? $rule->passes($step, $this->thread->world) : [] as $place) {
                $passes[] = $rule->id().' '.$place;
            }
        }

        return $passes;
    }

    /**
     * @param  Step  $step  just done
     * @return list<array{string, float, int}> gates, minutes of work until each opens, and what works it off
     */
    public function shutBy(Step $step): array
    {
        $shuts = [];
        foreach ($this->rules->gates as $rule) {
            foreach ($rule->shuts($step, $this->thread->world) as [$place, $wait]) {
                $gate = $rule->id().' '.$place;
                $work = $wait->workMinutes();
                if (! isset($shuts[$gate]) || $work > $shuts[$gate][1]) {
                    $shuts[$gate] = [$gate, $work, $wait->by === null ? 0 : Arcs::dries($wait->by)];
                }
            }
        }

        return array_values($shuts);
    }
}
