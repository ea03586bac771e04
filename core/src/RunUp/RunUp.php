<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\NotBefore;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Show;
use AmberStep\Core\Work\HoldKind;
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

    /** Before which no order of work has all ready. */
    public int $soonestEpoch;

    /** Seconds at the bench by which all are ready later than that: the plan is within so much of the best possible. */
    public int $overBest;

    /** @param  array<string, Show>  $shows  by build */
    public function __construct(private Plans $plans, array $shows, Calendar $calendar, int $now)
    {
        $timetable = $plans->timetable;
        $due = array_map(static fn (Show $s): int => min($s->dueEpoch, $now + 86400 * self::FAR), $shows);
        $latest = new LatestStarts($timetable->tasks, $timetable->timed->order, $due, $calendar, $timetable->clock());
        $slack = new Slack($timetable->tasks, $timetable->timed, $latest->of, $calendar);
        $bound = new Bound($timetable->tasks, $timetable->timed->order, $calendar, $timetable->clock(), $now);
        $last = max([$now, ...array_values($timetable->timed->end)]);
        [$this->soonestEpoch, $this->overBest] = [$bound->all, $calendar->secondsAtBench(min($bound->all, $last), $last)];
        $runs = [];
        foreach ($plans->byBuild as $build => $plan) {
            $runs[] = new Run((string) $build, $plan->context->kit->name, $plan->finishEpoch(), $shows[$build] ?? null, $slack->seconds[$build] ?? null, $bound->ready[$build] ?? $now, $this->nights($plan), $slack->thread[$build] ?? []);
        }
        $this->runs = $runs;
        // Until all is ready and the next show has been; those after it are further off than anybody looks evening by evening.
        $next = $due === [] ? $now : min($due);
        $end = max([min($now + 86400 * self::AHEAD, $next), ...array_map(static fn (Run $r): int => $r->readyEpoch ?? $now, $runs)]) + 86400 * self::AFTER;
        $this->columns = $this->columns($calendar->between($now, $end));
    }

    /**
     * One of the sessions as it is worked.
     *
     * @param  int|null  $untilEpoch  when it ends; null: the first
     * @return SessionSheet|null null where no session ends then
     */
    public function sheet(?int $untilEpoch): ?SessionSheet
    {
        foreach ($this->columns as $i => $column) {
            if ($untilEpoch === null || $column->untilEpoch === $untilEpoch) {
                return new SessionSheet($this->plans, $column->fromEpoch, $column->untilEpoch, $this->columns[$i + 1]->fromEpoch ?? PHP_INT_MAX);
            }
        }

        return null;
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
            $of = $build.' '.($paint->id ?? '');
            $block = $gun ? new Block($build, $paint, $planned->startEpoch, $planned->endEpoch, $planned->minutes, [], [], [])
                : new Block($build, $paint, $planned->startEpoch, $planned->endEpoch, $planned->minutes, [Words::title($step, $context)], [$context->pieceName($step->pieceId)], [$step->key], self::opens($planned, $this->plans->byBuild[$build]), self::putOffs($step->key, $context->kit));
            $blocks[$of] = isset($blocks[$of]) ? $blocks[$of]->and($block) : $block;
        }

        return array_values($blocks);
    }

    /** What lets a step go last, but for what the user asked for: the wait that ends last, or the step that has to be done first. */
    private static function opens(PlannedStep $planned, Plan $plan): ?Opens
    {
        $before = $plan->left[$planned->shutBy() ?? ''] ?? null;
        $opens = $before === null ? null : new Opens($before->endEpoch, 'first comes: '.Words::title($before->step, $plan->context).', '.$plan->context->pieceName($before->step->pieceId));
        foreach ($planned->holds as $hold) {
            if (! $hold->isChance() && $hold->kind !== HoldKind::NotBefore && $hold->untilEpoch <= $planned->startEpoch && $hold->untilEpoch > ($opens->epoch ?? $plan->nowEpoch)) {
                $opens = new Opens($hold->untilEpoch, $hold->because);
            }
        }

        return $opens;
    }

    /** @return list<string> */
    private static function putOffs(string $step, Kit $kit): array
    {
        return array_values(array_map(static fn (NotBefore $n): string => $n->id, array_filter($kit->notBefore, static fn (NotBefore $n): bool => $n->step === $step)));
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
