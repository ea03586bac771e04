<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Step\Step;
use AmberStep\Core\Timing\Groups;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Work\Operation;

/**
 * A soft mask is laid once all is ready that is sprayed under it: what comes before any of its coats comes before the
 * mask, and what begins together with others waits with its mask. Where that would go in a circle it is
 * left as it was.
 */
final readonly class SoftMasks
{
    /** @param  list<Step>  $steps  by place */
    private function __construct(private Tasks $tasks, private array $steps)
    {
    }

    /** @param  list<Step>  $steps  of the tasks, by place */
    public static function into(Tasks $tasks, array $steps): void
    {
        $masks = new self($tasks, $steps);
        foreach ($masks->sittings() as $members) {
            // Each that is laid for it waits, since the last would let the first stay on too long.
            foreach ($masks->laid($members) as $mask) {
                $kept = [$tasks->open, $tasks->unlocks, $tasks->groups];
                $masks->wait($mask, $members);
                if (! $masks->isDoable()) {
                    [$tasks->open, $tasks->unlocks, $tasks->groups] = $kept;
                }
            }
        }
    }

    /**
     * @param  non-empty-list<int>  $members
     * @return list<int>
     */
    private function laid(array $members): array
    {
        return array_values(array_filter($members, fn (int $i): bool => $this->steps[$i]->operation === Operation::Mask));
    }

    /** @return list<non-empty-list<int>> tasks of each sitting for which a mask is laid, in the plan's order */
    private function sittings(): array
    {
        $of = [];
        foreach ($this->tasks->sitting as $i => $sitting) {
            if ($sitting >= 0 && ! in_array($sitting, $this->tasks->begun, true)) {
                $of[$sitting][] = $i;
            }
        }

        return array_values(array_filter($of, fn (array $members): bool => $this->laid($members) !== []));
    }

    /** @param  non-empty-list<int>  $members */
    private function wait(int $mask, array $members): void
    {
        $own = array_fill_keys($members, true);
        $after = $this->after($mask);
        foreach ($this->tasks->unlocks as $i => $next) {
            if (isset($own[$i]) || isset($after[$i])) {
                continue;
            }
            $has = array_intersect_key(array_fill_keys($next, true), $own);
            if ($has !== [] && ! isset($has[$mask])) {
                $this->tasks->unlocks[$i][] = $mask;
                $this->waitsForOneMore($mask);
            }
        }
        foreach ($this->tasks->groups as $g => $_) {
            $this->together($g, $mask, $own);
        }
    }

    /** @param  array<int, true>  $own */
    private function together(int $g, int $mask, array $own): void
    {
        [$open, $begin] = $this->tasks->groups[$g];
        $piece = array_values(array_intersect_key($begin, $own))[0] ?? null;
        if ($piece !== null && ! isset($begin[$mask]) && (count($open) > 1 || ($open !== [] && ! isset($open[$piece])))) {
            $begin[$mask] = $piece;
            $this->tasks->groups[$g] = [$open, $begin];
            $this->waitsForOneMore($mask);
        }
    }

    private function waitsForOneMore(int $mask): void
    {
        $open = $this->tasks->open;
        $this->tasks->open = array_values(array_replace($open, [$mask => $open[$mask] + 1]));
    }

    /** @return array<int, true> what comes after a task, by whatever way */
    private function after(int $task): array
    {
        $after = [];
        for ($queue = [$task]; $queue !== [];) {
            $i = array_pop($queue);
            $next = $this->tasks->unlocks[$i];
            foreach ($this->tasks->readies[$i] as [$g, $piece]) {
                array_push($next, ...array_keys(array_filter($this->tasks->groups[$g][1], static fn (string $on): bool => $on !== $piece)));
            }
            foreach ($next as $one) {
                if (! isset($after[$one])) {
                    $after[$one] = true;
                    $queue[] = $one;
                }
            }
        }

        return $after;
    }

    /** All can be done one after the other. */
    private function isDoable(): bool
    {
        $open = $this->tasks->open;
        $groups = $this->tasks->groups;
        $queue = array_keys(array_filter($open, static fn (int $n): bool => $n === 0));
        $done = 0;
        for (; $queue !== []; $done++) {
            $i = array_pop($queue);
            $next = $this->tasks->unlocks[$i];
            foreach ($this->tasks->readies[$i] as [$g, $piece]) {
                array_push($next, ...Groups::isReady($groups[$g], $piece));
            }
            foreach ($next as $one) {
                if (--$open[$one] === 0) {
                    $queue[] = $one;
                }
            }
        }

        return $done === $this->tasks->count();
    }
}
