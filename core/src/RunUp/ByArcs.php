<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Plan\Neighbour;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Joined;
use AmberStep\Core\Timing\Show;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;

/**
 * The picture at a glance: timed by what the builds told when they were last looked into, no rule asked anew. What the rules
 * say of it follows, and stands.
 *
 * @phpstan-type Told array{name: string, neighbour: Neighbour, lines: list<array{title: string, piece: string}>}
 */
final class ByArcs
{
    /**
     * @param  array<string, Told>  $builds  in the user's order; of each task its title and its piece
     * @param  array<string, Show>  $shows  by build
     */
    public static function of(array $builds, Shelf $shelf, array $shows, Calendar $calendar, WorkClock $clock, int $now, Bench $bench, Hints $hints): RunUp
    {
        $tasks = Joined::of(array_map(static fn (array $one): Tasks => $one['neighbour']->tasks, array_values($builds)));
        $timed = (new Dispatcher($tasks, $calendar, $clock, $now, $bench, $hints->ranks($tasks), $hints->putOffs(array_flip($tasks->keys)), $hints->loading))->run();
        $told = [];
        foreach ($builds as $one) {
            array_push($told, ...$one['lines']);
        }

        return new RunUp($tasks, $timed, $clock, [...self::lines($tasks, $timed, $told, $shelf), ...self::guns($tasks, $timed, $shelf)], array_map(static fn (array $one): string => $one['name'], $builds), self::nights($tasks, $timed, $clock, $told), $shows, $calendar, $now);
    }

    /**
     * @param  list<array{title: string, piece: string}>  $told  by task
     * @return list<Block>
     */
    private static function lines(Tasks $tasks, Timed $timed, array $told, Shelf $shelf): array
    {
        $lines = [];
        foreach ($timed->order as $i) {
            [$build, $key] = explode(' ', $tasks->keys[$i], 2);
            $paint = $tasks->paint[$i] < 0 ? null : $shelf->find($tasks->paints[$tasks->paint[$i]]->id);
            $lines[] = new Block($build, $paint, $timed->start[$i], $timed->end[$i], ($timed->end[$i] - $timed->start[$i]) / 60, [$told[$i]['title'] ?? ''], [$told[$i]['piece'] ?? ''], [$key]);
        }

        return $lines;
    }

    /** @return list<Block> cleanings and mixings, with the build of what comes after, or else of what was sprayed before */
    private static function guns(Tasks $tasks, Timed $timed, Shelf $shelf): array
    {
        $last = [];
        foreach ($timed->order as $i) {
            $last[$tasks->paint[$i]] = (string) strstr($tasks->keys[$i], ' ', true);
        }
        $lines = [];
        foreach ($timed->gun as [, $paint, $begin, $end, $before]) {
            $build = $before >= 0 ? (string) strstr($tasks->keys[$before], ' ', true) : $last[$paint] ?? null;
            if ($build !== null) {
                $lines[] = new Block($build, $shelf->find($tasks->paints[$paint]->id), $begin, $end, ($end - $begin) / 60, [], [], []);
            }
        }

        return $lines;
    }

    /**
     * @param  list<array{title: string, piece: string}>  $told  by task
     * @return array<string, list<Night>> by build
     */
    private static function nights(Tasks $tasks, Timed $timed, WorkClock $clock, array $told): array
    {
        $longest = [];
        foreach ($timed->order as $i) {
            foreach ($tasks->arcs[$i] as [$to, $work, $by, $from, $closes]) {
                $until = $from > 0 || $closes !== null || ! isset($timed->start[$to]) ? 0 : $clock->endOf($timed->end[$i], $work, Tasks::dries($by));
                if ($until <= ($timed->start[$to] ?? 0) && $until > ($longest[$to][1] ?? 0)) {
                    $longest[$to] = [$timed->end[$i], $until, $i];
                }
            }
        }
        $nights = [];
        foreach ($timed->order as $to) {
            [$from, $until, $i] = $longest[$to] ?? [0, 0, 0];
            $build = (string) strstr($tasks->keys[$to], ' ', true);
            $last = $nights[$build][count($nights[$build] ?? []) - 1] ?? null;
            if ($until - $from >= Night::LEAST && ($last === null || $until > $last->untilEpoch)) {
                $nights[$build][] = new Night($from, $until, $told[$to]['piece'] ?? '', $told[$i]['title'] ?? '');
            }
        }

        return $nights;
    }
}
