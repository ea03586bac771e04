<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Show;
use AmberStep\Core\Work\Operation;

/** All builds to their shows, as data for a picture: sessions with what is in them, a run for each build. Read from plans; nothing is planned here. */
final readonly class RunUp
{
    /** Seconds from which a hold is a night by itself. */
    private const A_NIGHT = 6 * 3600;

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

    /** @param  array<string, Show>  $shows  by build */
    public function __construct(private Plans $plans, array $shows, Calendar $calendar, int $now)
    {
        $timetable = $plans->timetable;
        $due = array_map(static fn (Show $s): int => min($s->dueEpoch, $now + 86400 * self::FAR), $shows);
        $latest = new LatestStarts($timetable->tasks, $timetable->timed->order, $due, $calendar, $timetable->clock());
        $slack = new Slack($timetable->tasks, $timetable->timed, $latest->of, $calendar);
        $runs = [];
        foreach ($plans->byBuild as $build => $plan) {
            $runs[] = new Run((string) $build, $plan->context->kit->name, $plan->finishEpoch(), $shows[$build] ?? null, $slack->seconds[$build] ?? null, $this->nights($plan), $slack->thread[$build] ?? []);
        }
        $this->runs = $runs;
        // Until all is ready and the next show has been; those after it are further off than anybody looks evening by evening.
        $next = $due === [] ? $now : min($due);
        $end = max([min($now + 86400 * self::AHEAD, $next), ...array_map(static fn (Run $r): int => $r->readyEpoch ?? $now, $runs)]) + 86400 * self::AFTER;
        $this->columns = $this->columns($calendar->between($now, $end));
    }

    /**
     * @param  list<array{int, int}>  $sessions
     * @return list<Column>
     */
    private function columns(array $sessions): array
    {
        $lines = [];
        foreach ($this->plans->byBuild as $build => $plan) {
            foreach ($plan->atTheBench() as $planned) {
                $lines[] = [$planned->startEpoch, (string) $build, $planned];
            }
        }
        usort($lines, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $columns = [];
        $at = 0;
        foreach ($sessions as $i => [$from, $until]) {
            $end = $sessions[$i + 1][0] ?? PHP_INT_MAX;
            $here = [];
            for (; isset($lines[$at]) && $lines[$at][0] < $end; $at++) {
                $here[] = $lines[$at];
            }
            $columns[] = new Column($from, $until, $this->blocks($here));
        }

        return $columns;
    }

    /**
     * What one build takes of a paint in a session is one block, though hands go to others while a coat flashes.
     *
     * @param  list<array{int, string, PlannedStep}>  $lines  of one session, by time
     * @return list<Block>
     */
    private function blocks(array $lines): array
    {
        $blocks = [];
        foreach ($lines as [, $build, $planned]) {
            $step = $planned->step;
            $context = $this->plans->byBuild[$build]->context;
            $gun = in_array($step->operation, [Operation::Mix, Operation::Rinse, Operation::Strip], true);
            $paint = $step->operation->sprays() || $gun ? $step->product : null;
            $titles = $gun ? [] : [Words::title($step, $context)];
            $piece = $gun ? [] : [$context->pieceName($step->pieceId)];
            $steps = $gun ? [] : [$step->key];
            $of = $build.' '.($paint->id ?? '');
            $blocks[$of] = isset($blocks[$of]) ? $blocks[$of]->with($planned->endEpoch, $planned->minutes, $titles, $piece, $steps) : new Block($build, $paint, $planned->startEpoch, $planned->endEpoch, $planned->minutes, $titles, $piece, $steps);
        }

        return array_values($blocks);
    }

    /** @return list<Night> those that keep a step waiting, one after the other */
    private function nights(Plan $plan): array
    {
        $nights = [];
        foreach ($plan->byTime() as $planned) {
            $longest = null;
            foreach ($planned->holds as $hold) {
                if (! $hold->isChance() && $hold->untilEpoch <= $planned->startEpoch && ($longest === null || $hold->untilEpoch > $longest->untilEpoch)) {
                    $longest = $hold;
                }
            }
            $last = $nights === [] ? null : $nights[count($nights) - 1];
            if ($longest === null || $longest->untilEpoch - $longest->fromEpoch < self::A_NIGHT || ($last !== null && $longest->untilEpoch <= $last->untilEpoch)) {
                continue;
            }
            $nights[] = new Night($longest->fromEpoch, $longest->untilEpoch, $plan->context->pieceName($planned->step->pieceId), $longest->because);
        }

        return $nights;
    }
}
