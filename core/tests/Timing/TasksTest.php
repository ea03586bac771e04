<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Timing;

use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Neighbour;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\Plan\Thread;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Tests\Support\SetOfBuilds;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\Joined;
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
        $all = Joined::of($tasks);

        self::assertSame(array_merge(...array_map(static fn (Tasks $t): array => $t->keys, $tasks)), $all->keys);
        self::assertSame(array_sum(array_map(static fn (Tasks $t): int => array_sum($t->open), $tasks)), array_sum($all->open));
        $ids = array_map(static fn ($p): string => $p->id, $all->paints);
        self::assertSame(array_values(array_unique($ids)), array_values($ids));
    }

    public function test_a_log_delivered_in_another_order_gives_the_same_tasks_and_so_the_same_hints(): void
    {
        $worked = 0;
        foreach (range(1, 12) as $seed) {
            $set = new SetOfBuilds($seed);
            foreach ($set->plans()->byBuild as $build => $plan) {
                foreach (array_slice($plan->byTime(), 0, 8) as $i => $planned) {
                    $set->builds[$build]->events[] = StepEvent::of($planned->step, sprintf('01F0000000%016d', 10 + $i), $planned->endEpoch, $planned->endEpoch);
                    $set->now = max($set->now, $planned->endEpoch);
                }
            }
            $tasks = self::told($set);
            foreach ($set->builds as $build) {
                $worked += count($build->events);
                $build->events = array_reverse($build->events);
            }

            self::assertEquals($tasks, self::told($set), "set {$seed}");
        }
        self::assertGreaterThan(100, $worked);
    }

    private static function told(SetOfBuilds $set): Tasks
    {
        $problems = $set->problems();

        return Joined::of(array_map(static fn (Problem $p, string $id): Tasks => Neighbour::of(new Thread($p, Compiler::ofTheTrade()->rules), $id)->tasks, $problems, array_keys($problems)));
    }
}
