<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Timing\Exact;

use AmberStep\Core\Timing\Paint;
use AmberStep\Core\Timing\Tasks;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Small evenings drawn from a seed: pieces that are washed, masked and sprayed in one or two paints, waits between, one or
 * several builds. Told twice: as plain numbers for the solver, and as tasks for the planner.
 *
 * @phpstan-type Task array{build: int, minutes: int, paint: int, water: int, sitting: int, after: list<int>, arcs: list<array{int, int}>}
 * @phpstan-type Evening array{tasks: list<Task>, sessions: array<string, list<array{int, int}>>, paints: int, guns: int, cabinet: array<int, int>}
 */
final class Cases
{
    /**
     * @param  bool  $long  few pieces with many layers
     * @param  bool  $cabinet  each layer dries in a cabinet that takes one piece
     * @return Evening
     */
    public static function draw(int $seed, bool $long = false, bool $cabinet = false): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $one = static fn (int ...$of): int => $of[$random->getInt(0, count($of) - 1)];
        $pieces = $long ? 2 : $one(2, 2, 3, 3, 4);
        $builds = $one(1, 1, 2, 3);
        $paints = $one(2, 3, 3);
        $tasks = $dries = [];
        $add = static function (int $build, int $minutes, int $paint = -1, int $water = 0, int $sitting = -1, array $after = []) use (&$tasks): int {
            $tasks[] = ['build' => $build, 'minutes' => $minutes, 'paint' => $paint, 'water' => $water, 'sitting' => $sitting, 'after' => $after, 'arcs' => []];

            return count($tasks) - 1;
        };
        $wait = static function (int $from, int $to, int $minutes) use (&$tasks): void {
            $tasks[$from]['arcs'][] = [$to, $minutes];
        };
        $last = [];
        for ($piece = 0; $piece < $pieces; $piece++) {
            $build = $piece % $builds;
            $at = $random->getInt(0, 3) > 0 ? $add($build, 11, water: 10) : -1;
            for ($layer = 0, $layers = $long ? $one(3, 4) : $one(1, 2, 2); $layer < $layers; $layer++) {
                $mask = $long || $random->getInt(0, 2) > 0 ? $add($build, $one(3, 6, 12), after: $at < 0 ? [] : [$at]) : -1;
                if ($mask >= 0 && $at >= 0) {
                    $wait($at, $mask, $one(60, 240, 840));
                }
                $paint = $one(...range(0, $paints - 1));
                $before = $mask >= 0 ? $mask : $at;
                $sitting = count($tasks);
                for ($coat = 0, $coats = $one(1, 2, 2); $coat < $coats; $coat++) {
                    $next = $add($build, $one(2, 3, 5), $paint, sitting: $coats > 1 ? $sitting : -1, after: $before < 0 ? [] : [$before]);
                    if ($before >= 0) {
                        $wait($before, $next, $coat > 0 ? $one(15, 20) : ($mask >= 0 ? 0 : $one(30, 240)));
                    }
                    $before = $next;
                }
                if ($cabinet) {
                    $in = $add($build, 1, after: [$before]);
                    $wait($before, $in, 15);
                    $before = $in;
                }
                $at = $add($build, $one(1, 3), after: [$before]);
                $wait($before, $at, $one(20, 60, 300));
                if ($cabinet) {
                    $dries[$before] = $at;
                }
            }
            $last[$build][] = $at;
        }
        foreach ($last as $build => $ends) {
            if (count($ends) > 1) {
                $joint = $add($build, $one(3, 9), after: $ends);
                foreach ($ends as $end) {
                    $wait($end, $joint, $one(0, 120, 1440));
                }
            }
        }
        $evening = [[1140, $one(1200, 1230, 1260)]];

        return ['tasks' => $tasks, 'sessions' => [...array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri'], $evening), 'sat' => $random->getInt(0, 1) === 1 ? [[600, 720]] : [], 'sun' => []], 'paints' => $paints, 'guns' => $one(1, 1, 2), 'cabinet' => $dries];
    }

    /** @param  Evening  $case */
    public static function tasks(array $case): Tasks
    {
        $tasks = new Tasks;
        for ($p = 0; $p < $case['paints']; $p++) {
            $tasks->paints[] = new Paint("paint {$p}", true, 300, 300, 4 * 3600, false);
        }
        foreach ($case['tasks'] as $i => $task) {
            $tasks->keys[] = "build{$task['build']} task{$i}";
            $tasks->seconds[] = 60 * $task['minutes'];
            $tasks->paint[] = $task['paint'];
            $tasks->gloss[] = false;
            $tasks->water[] = 60 * $task['water'];
            $tasks->fixed[] = null;
            $tasks->sitting[] = $task['sitting'];
            $tasks->open[] = count($task['after']);
            $tasks->arcs[] = array_map(static fn (array $arc): array => [$arc[0], (float) $arc[1], 0, 0, null], $task['arcs']);
            $tasks->unlocks[] = $tasks->shut[] = $tasks->closes[] = $tasks->readies[] = $tasks->shuts[] = $tasks->passes[] = $tasks->air[] = [];
        }
        $tasks->cabinet = $case['cabinet'];
        foreach ($case['tasks'] as $i => $task) {
            foreach ($task['after'] as $before) {
                $tasks->unlocks[$before][] = $i;
            }
        }

        return $tasks;
    }
}
