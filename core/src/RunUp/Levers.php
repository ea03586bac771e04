<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Show;
use Closure;
use DateTimeImmutable;

/**
 * What would save a show that is missed, or give room where there is little: each priced by planning all builds with it, as
 * they will be planned once it is taken; best first. Nothing is changed here.
 */
final readonly class Levers
{
    /** Of free days before the show so many are tried, from the first on. */
    private const FREE_DAYS = 3;

    /** An extra session, minutes of the day. */
    private const EXTRA = [840, 960];

    /** Seconds it has to bring to be told. */
    private const WORTH = 1800;

    /** Seconds at the bench to spare from which nobody asks for more: five evenings. */
    private const ENOUGH = 5 * 7200;

    /** The build they are for; null where none has little to spare. */
    public ?Run $run;

    /**
     * @param  Plans  $plans  of all builds as they stand
     * @param  array<array-key, Problem>  $problems  of those
     * @param  array<string, Show>  $shows  each is made for, by build
     * @param  list<Run>  $runs  how they stand
     * @param  Closure(Candidate): Problem  $pose  of the candidate's build, with it
     */
    public function __construct(private Compiler $compiler, private Plans $plans, private array $problems, private array $shows, private array $runs, private Closure $pose, private Calendar $calendar, private Bench $bench, private Hints $hints, private int $now)
    {
        $this->run = self::tightest($runs);
    }

    /**
     * @param  list<Show>  $others  it could be sent to
     * @return list<Lever>
     */
    public function priced(array $others): array
    {
        [$levers] = $this->pricedFrom(0, $others, static fn (): bool => true);
        usort($levers, static fn (Lever $a, Lever $b): int => [$a->allDaysLate, -$a->wonSeconds] <=> [$b->allDaysLate, -$b->wonSeconds]);

        return $levers;
    }

    /**
     * Some of them, in the order they are tried: each takes as long as planning all builds does.
     *
     * @param  int  $from  how many were tried before
     * @param  list<Show>  $others
     * @param  Closure(): bool  $goesOn  asked after each
     * @return array{list<Lever>, int, int} those that help, how many were tried by now, and of how many
     */
    public function pricedFrom(int $from, array $others, Closure $goesOn): array
    {
        $late = array_sum(array_map(static fn (Run $r): int => $r->daysLate(), $this->runs));
        $run = $this->run;
        if ($run === null) {
            return [[], 0, 0];
        }
        $candidates = [...$this->candidates($run, $others)];
        $levers = [];
        $tried = $from;
        for (; $tried < count($candidates) && ($tried === $from || $goesOn()); $tried++) {
            $lever = $this->price($candidates[$tried], $run);
            if ($lever !== null && $lever->allDaysLate <= $late && ($lever->allDaysLate < $late || $lever->wonSeconds >= self::WORTH)) {
                $levers[] = $lever;
            }
        }

        return [$levers, $tried, count($candidates)];
    }

    /**
     * The build that misses its show by most, else the one with least to spare, where that is little.
     *
     * @param  list<Run>  $runs
     */
    private static function tightest(array $runs): ?Run
    {
        $shown = array_values(array_filter($runs, static fn (Run $r): bool => $r->spareSeconds !== null && $r->spareSeconds < self::ENOUGH));
        usort($shown, static fn (Run $a, Run $b): int => [-$a->daysLate(), $a->spareSeconds] <=> [-$b->daysLate(), $b->spareSeconds]);

        return $shown[0] ?? null;
    }

    /**
     * @param  list<Show>  $others
     * @return iterable<Candidate>
     */
    private function candidates(Run $run, array $others): iterable
    {
        yield from Candidates::of($run->build, $this->plans->byBuild[$run->build]);
        foreach ($this->freeDays((int) $run->show?->dueEpoch) as $day) {
            yield new Candidate('An extra session on '.$day->format('D j M').', 14:00 to 16:00', $run->build, date: $day->format('Y-m-d'), sessions: [self::EXTRA]);
        }
        foreach ($others as $show) {
            if ($show->dueEpoch > (int) $run->show?->dueEpoch) {
                yield new Candidate("To {$show->name} instead, ".(new DateTimeImmutable('@'.$show->opensEpoch))->setTimezone($this->calendar->zone)->format('D j M'), $run->build, show: $show);
            }
        }
        foreach ($this->plans->byBuild as $build => $plan) {
            if ((string) $build !== $run->build && $plan->left !== [] && ($this->shows[$build]->dueEpoch ?? PHP_INT_MAX) > (int) $run->show?->dueEpoch) {
                yield new Candidate("{$plan->context->kit->name} put away until then", $run->build, away: (string) $build);
            }
        }
    }

    /** @return iterable<DateTimeImmutable> days without a session before the show on which nobody said they were away */
    private function freeDays(int $due): iterable
    {
        $day = (new DateTimeImmutable('@'.$this->now))->setTimezone($this->calendar->zone)->setTime(0, 0);
        for ($found = 0; $found < self::FREE_DAYS;) {
            $day = $day->modify('+1 day');
            if ($day->getTimestamp() + 86400 > $due) {
                return;
            }
            if ($this->calendar->secondsAtBench($day->getTimestamp(), $day->getTimestamp() + 86400) === 0 && ! isset($this->calendar->dates[$day->format('Y-m-d')])) {
                $found++;
                yield $day;
            }
        }
    }

    private function price(Candidate $candidate, Run $before): ?Lever
    {
        $problems = array_diff_key($this->problems, array_fill_keys(array_filter([$candidate->away], is_string(...)), true));
        // What is not changed stays as it was posed.
        if ($candidate->changesTheBuild()) {
            $problems[$candidate->build] = ($this->pose)($candidate);
        }
        $shows = $candidate->show === null ? $this->shows : [$candidate->build => $candidate->show] + $this->shows;
        $bench = new Bench($this->bench->guns, $this->bench->cabinet, $this->bench->places, array_map(static fn (Show $s): int => $s->dueEpoch, $shows));
        $calendar = $candidate->within($this->calendar);
        $after = ByPlans::of($this->compiler->plans($problems, $calendar, $this->now, $bench, $this->hints), $shows, $calendar, $this->now);
        $then = array_values(array_filter($after->runs, static fn (Run $r): bool => $r->build === $candidate->build))[0] ?? null;

        return $then === null ? null : new Lever($candidate, $then, array_sum(array_map(static fn (Run $r): int => $r->daysLate(), $after->runs)), (int) $then->spareSeconds - (int) $before->spareSeconds);
    }
}
