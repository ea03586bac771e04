<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\LatestStarts;
use AmberStep\Core\Timing\Show;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Timing\Timed;

/** All builds to their shows, as data for a picture: sessions with what is in them, a run for each build. Read from what was planned; nothing is planned here. */
final readonly class RunUp
{
    /** Days that are looked at beyond the last build and the next show. */
    private const AFTER = 1;

    /** Days from which a show is as far as any other. */
    private const FAR = 1100;

    /** Days beyond which no show is waited for evening by evening. */
    private const AHEAD = 90;

    /** @var list<Column> by time, from the session that runs or comes next */
    public array $columns;

    /** @var list<Run> in the user's order */
    public array $runs;

    /** Before which no order of work has all ready. */
    public int $soonestEpoch;

    /** Seconds at the bench by which all are ready later than that: the plan is within so much of the best possible. */
    public int $overBest;

    /**
     * @param  list<Block>  $lines  each of one step, or of what is done at the gun
     * @param  array<string, string>  $names  of the builds, in the user's order
     * @param  array<string, list<Night>>  $nights  by build
     * @param  array<string, Show>  $shows  by build
     */
    public function __construct(Tasks $tasks, Timed $timed, WorkClock $clock, array $lines, array $names, array $nights, array $shows, Calendar $calendar, int $now)
    {
        $due = array_map(static fn (Show $s): int => min($s->dueEpoch, $now + 86400 * self::FAR), $shows);
        $slack = new Slack($tasks, $timed, (new LatestStarts($tasks, $timed->order, $due, $calendar, $clock))->of, $calendar);
        $bound = new Bound($tasks, $timed->order, $calendar, $clock, $now);
        $last = max([$now, ...array_values($timed->end)]);
        [$this->soonestEpoch, $this->overBest] = [$bound->all, $calendar->secondsAtBench(min($bound->all, $last), $last)];
        $ready = self::ready($tasks, $timed);
        $runs = [];
        foreach ($names as $build => $name) {
            $runs[] = new Run((string) $build, $name, $ready[$build] ?? null, $shows[$build] ?? null, $slack->seconds[$build] ?? null, $bound->ready[$build] ?? $now, $nights[$build] ?? [], $slack->thread[$build] ?? []);
        }
        $this->runs = $runs;
        // Until all is ready and the next show has been; those after it are further off than anybody looks evening by evening.
        $next = $due === [] ? $now : min($due);
        $end = max([min($now + 86400 * self::AHEAD, $next), ...array_map(static fn (Run $r): int => $r->readyEpoch ?? $now, $runs)]) + 86400 * self::AFTER;
        usort($lines, static fn (Block $a, Block $b): int => $a->fromEpoch <=> $b->fromEpoch);
        $this->columns = self::columns($calendar->between($now, $end), $lines);
    }

    /** @return array<string, int> when each build is, by its id */
    private static function ready(Tasks $tasks, Timed $timed): array
    {
        $ready = [];
        foreach ($timed->end as $i => $end) {
            $build = (string) strstr($tasks->keys[$i], ' ', true);
            $ready[$build] = max($ready[$build] ?? 0, $end);
        }

        return $ready;
    }

    /**
     * @param  list<array{int, int}>  $sessions
     * @param  list<Block>  $lines  by time
     * @return list<Column>
     */
    private static function columns(array $sessions, array $lines): array
    {
        $columns = [];
        $at = 0;
        foreach ($sessions as $i => [$from, $until]) {
            $end = $sessions[$i + 1][0] ?? PHP_INT_MAX;
            $here = [];
            for (; isset($lines[$at]) && $lines[$at]->fromEpoch < $end; $at++) {
                $here[] = $lines[$at];
            }
            $columns[] = new Column($from, $until, self::blocks($here));
        }

        return $columns;
    }

    /**
     * What one build takes of a paint in a session is one block, though hands go to others while a coat flashes.
     *
     * @param  list<Block>  $lines  of one session, by time
     * @return list<Block>
     */
    private static function blocks(array $lines): array
    {
        $blocks = [];
        foreach ($lines as $line) {
            $of = $line->build.' '.($line->paint->id ?? '');
            $blocks[$of] = isset($blocks[$of]) ? $blocks[$of]->and($line) : $line;
        }

        return array_values($blocks);
    }
}
