<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Timing;

use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Neighbour;
use AmberStep\Core\Plan\Thread;
use AmberStep\Core\Tests\Support\SetOfBuilds;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\Tasks;
use PHPUnit\Framework\TestCase;

/** Tasks as arrays: the first of them alone, and those of several builds as one. */
final class TasksTest extends TestCase
{
    public function test_the_first_of_them_come_to_their_end_without_the_others(): void
    {
        foreach (range(1, 25) as $seed) {
            $set = new SetOfBuilds($seed);
            foreach ($set->problems() as $id => $problem) {
                $tasks = Neighbour::of(new Thread($problem, Compiler::ofTheTrade()->rules), $id)->tasks;
                $many = intdiv($tasks->count(), 2);
                $timed = (new Dispatcher($tasks->first($many), $set->calendar, $problem->waits->clock, $set->now, new Bench, range(0, max(0, $many - 1))))->run();

                self::assertCount($many, $timed->order, "set {$seed}, {$id}");
                self::assertSame($tasks, $tasks->first($tasks->count()));
            }
        }
    }

    public function test_joined_each_keeps_its_own_and_a_paint_is_told_once(): void
    {
        $set = new SetOfBuilds(6);
        $tasks = array_map(static fn ($p, string $id): Tasks => Neighbour::of(new Thread($p, Compiler::ofTheTrade()->rules), $id)->tasks, $set->problems(), array_keys($set->builds));
        $all = Tasks::joined($tasks);

        self::assertSame(array_merge(...array_map(static fn (Tasks $t): array => $t->keys, $tasks)), $all->keys);
        self::assertSame(array_sum(array_map(static fn (Tasks $t): int => array_sum($t->open), $tasks)), array_sum($all->open));
        $ids = array_map(static fn ($p): string => $p->id, $all->paints);
        self::assertSame(array_values(array_unique($ids)), array_values($ids));
    }
}
