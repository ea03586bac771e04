<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\RunUp\Proposals;
use AmberStep\Core\RunUp\Run;
use AmberStep\Core\RunUp\RunUp;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Show;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Http\Presenters\Time;
use App\Repositories\BuildRepository;
use App\Repositories\Evenings;
use App\Repositories\Hints;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use App\Repositories\Shows;
use App\Repositories\Workshop;
use DateTimeImmutable;

/**
 * What would save a show that is missed, or give room where there is little: each priced by planning all builds with it, as
 * they will be planned once it is taken; best first. Nothing is changed here.
 */
final readonly class Levers
{
    private const BENCH = 'bench';

    private const NAME = 'levers';

    /** Of free days before the show so many are tried, from the first on. */
    private const FREE_DAYS = 3;

    /** An extra session, minutes of the day. */
    private const EXTRA = [840, 960];

    /** Seconds it has to bring to be told. */
    private const WORTH = 1800;

    /** Evenings to spare from which nobody asks for more. */
    private const ENOUGH = 5 * 7200;

    public function __construct(private Store $store, private Marks $marks, private RunUps $runUps, private BuildRepository $builds, private Problems $problems, private Shows $shows, private Evenings $evenings, private Settings $settings, private Workshop $workshop, private Hints $hints, private BenchClock $clock)
    {
    }

    public function ask(): Kept
    {
        $now = $this->clock->epoch();
        $mark = $this->marks->withTimes('levers');
        $kept = $this->store->get(self::BENCH, self::NAME);
        if ($kept !== null && $kept->holds($mark, $now)) {
            return $kept;
        }
        $kept = new Kept($mark, $now, $now + 86400, 0, null, Packed::of($this->priced()));
        $this->store->put(self::BENCH, self::NAME, $kept);

        return $kept;
    }

    /** @return array{build: string|null, levers: list<array<string, mixed>>} */
    public function priced(): array
    {
        $read = $this->runUps->read();
        $run = $read === null ? null : self::tightest($read[0]->runs);
        if ($read === null || $run === null) {
            return ['build' => null, 'levers' => []];
        }
        $as = $levers = [];
        foreach ($this->builds->readable() as $build) {
            $as[$build->id] = [$build, $this->problems->whole($build)];
        }
        $left = array_filter($as, static fn (array $one): bool => $one[1]->left !== []);
        foreach ($this->candidates($run, $read[1][$run->build] ?? throw new \LogicException('a run is of a plan'), array_column($left, 0)) as [$lever, $edits, $calendar, $shows, $without]) {
            $after = $this->with($as, $run->build, $edits, $calendar, $shows, $without);
            $then = array_values(array_filter($after->runs, static fn (Run $r): bool => $r->build === $run->build))[0] ?? null;
            $late = array_sum(array_map(static fn (Run $r): int => $r->daysLate(), $after->runs));
            $was = array_sum(array_map(static fn (Run $r): int => $r->daysLate(), $read[0]->runs));
            $won = $then === null ? 0 : (int) $then->spareSeconds - (int) $run->spareSeconds;
            if ($then !== null && $late <= $was && ($late < $was || $won >= self::WORTH)) {
                $levers[] = [...$lever, 'ready' => Time::utc($then->readyEpoch), 'daysLate' => $then->daysLate(), 'allDaysLate' => $late, 'spareMinutes' => $then->spareSeconds === null ? null : intdiv($then->spareSeconds, 60), 'wonMinutes' => intdiv($won, 60)];
            }
        }
        usort($levers, static fn (array $a, array $b): int => [$a['allDaysLate'], -$a['wonMinutes']] <=> [$b['allDaysLate'], -$b['wonMinutes']]);

        return ['build' => $run->build, 'levers' => $levers];
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
     * @param  list<LoadedBuild>  $builds  those that take time
     * @return iterable<array{array<string, mixed>, list<Edit>, Calendar, array<string, Show>, string|null}> what it is, edits of the kit, sessions, shows, and the build that is put away
     */
    private function candidates(Run $run, Plan $plan, array $builds): iterable
    {
        $zone = BenchZone::zone();
        $calendar = $this->settings->calendar($zone);
        $shows = $this->shows->byBuild($zone);
        $none = ['build' => $run->build, 'edits' => null, 'date' => null, 'sessions' => null, 'shows' => null, 'away' => null];
        foreach (Proposals::of($plan) as $proposal) {
            yield [['title' => $proposal->title, 'edits' => array_map(static fn (Edit $e): array => $e->toArray(), $proposal->edits)] + $none, $proposal->edits, $calendar, $shows, null];
        }
        foreach ($this->freeDays($run, $calendar) as $day) {
            $date = $day->format('Y-m-d');
            yield [['title' => 'An extra session on '.$day->format('D j M').', 14:00 to 16:00', 'date' => $date, 'sessions' => [['from' => self::EXTRA[0], 'until' => self::EXTRA[1]]]] + $none, [], $calendar->with([$date => [self::EXTRA]] + $calendar->dates), $shows, null];
        }
        $rows = $this->shows->rows();
        foreach ($rows as $row) {
            $other = Show::on($row['id'], $row['name'], $row['date'], $row['by'], $row['packing'], $row['travel'], $row['demands'], $zone);
            if ($run->show !== null && $other->dueEpoch > $run->show->dueEpoch) {
                $moved = array_map(static fn (array $r): array => [...$r, 'builds' => $r['id'] === $row['id'] ? [...$r['builds'], $run->build] : array_values(array_diff($r['builds'], [$run->build]))], $rows);
                yield [['title' => "To {$row['name']} instead, ".$this->day($other->opensEpoch), 'shows' => $moved] + $none, [], $calendar, [$run->build => $other] + $shows, null];
            }
        }
        foreach ($builds as $build) {
            $own = $shows[$build->id] ?? null;
            if ($build->id !== $run->build && ($own === null || $own->dueEpoch > (int) $run->show?->dueEpoch)) {
                yield [['title' => "{$build->kit->name} put away until then", 'away' => $build->id] + $none, [], $calendar, $shows, $build->id];
            }
        }
    }

    /** @return iterable<DateTimeImmutable> days without a session before the show on which nobody said they were away */
    private function freeDays(Run $run, Calendar $calendar): iterable
    {
        $day = (new DateTimeImmutable('@'.$this->clock->epoch()))->setTimezone(BenchZone::zone())->setTime(0, 0);
        $dates = $this->evenings->dates();
        for ($found = 0; $found < self::FREE_DAYS;) {
            $day = $day->modify('+1 day');
            if ($day->getTimestamp() + 86400 > (int) $run->show?->dueEpoch) {
                return;
            }
            if ($calendar->secondsAtBench($day->getTimestamp(), $day->getTimestamp() + 86400) === 0 && ! isset($dates[$day->format('Y-m-d')])) {
                $found++;
                yield $day;
            }
        }
    }

    /**
     * @param  array<string, array{LoadedBuild, Problem}>  $as  builds and their problems as they stand
     * @param  list<Edit>  $edits
     * @param  array<string, Show>  $shows
     */
    private function with(array $as, string $changed, array $edits, Calendar $calendar, array $shows, ?string $without): RunUp
    {
        $bench = $this->workshop->bench();
        $bench = new Bench($bench->guns, $bench->cabinet, $bench->places, array_map(static fn (Show $s): int => $s->dueEpoch, $shows));
        $problems = [];
        foreach ($as as $id => [$build, $problem]) {
            // What is not changed stays as it was posed.
            $anew = $id === $changed && ($edits !== [] || ($shows[$id]->id ?? null) !== $this->shows->of($id, BenchZone::zone())?->id);
            if ($id !== $without) {
                $problems[$id] = $anew ? $this->problems->whole($build->with($build->kit->apply($edits)), $shows[$id] ?? null) : $problem;
            }
        }
        $now = $this->clock->epoch();

        return new RunUp(Compiler::ofTheTrade()->plans($problems, $calendar, $now, $bench, $this->hints->now()), $shows, $calendar, $now);
    }

    private function day(int $epoch): string
    {
        return (new DateTimeImmutable('@'.$epoch))->setTimezone(BenchZone::zone())->format('D j M');
    }
}
