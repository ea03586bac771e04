<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\Verdict;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\RunUp\Candidate;
use AmberStep\Core\RunUp\Lever;
use AmberStep\Core\RunUp\Levers as Priced;
use AmberStep\Core\RunUp\Run;
use AmberStep\Core\Timing\Show;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Http\Presenters\Time;
use App\Repositories\BuildRepository;
use App\Repositories\Hints;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use App\Repositories\Shows;
use App\Repositories\Workshop;

/** Levers of the build that misses its show, or has least to spare, with what takes each of them; kept while they hold. */
final readonly class Levers
{
    private const BENCH = 'bench';

    private const NAME = 'levers';

    /** Nanoseconds after which no other is begun: the rest is for who asks again. */
    private const AT_A_TIME = 800_000_000;

    /** The event that takes a place as it is, while it is only thought of. */
    private const THOUGHT = '00000000000000000000000000';

    public function __construct(private Store $store, private Marks $marks, private RunUps $runUps, private BuildRepository $builds, private Problems $problems, private Shows $shows, private Settings $settings, private Workshop $workshop, private Hints $hints, private BenchClock $clock)
    {
    }

    /**
     * What is priced by now, and how many are still to be tried: who asks again gets more. None waits for all.
     */
    public function ask(): Kept
    {
        $now = $this->clock->epoch();
        $mark = $this->marks->withTimes('levers');
        $kept = $this->store->get(self::BENCH, self::NAME);
        $known = $kept !== null && $kept->holds($mark, $now) ? $kept->answer->data() : null;
        if ($kept !== null && $known !== null && ($known['left'] ?? 0) === 0) {
            return $kept;
        }
        $kept = new Kept($mark, $now, $now + 86400, 0, null, Packed::of($this->priced($known)));
        $this->store->put(self::BENCH, self::NAME, $kept);

        return $kept;
    }

    /**
     * @param  array<string, mixed>|null  $known  what was priced before
     * @return array{build: string|null, levers: list<array<string, mixed>>, tried: int, left: int}
     */
    private function priced(?array $known): array
    {
        $began = hrtime(true);
        $zone = BenchZone::zone();
        $read = $this->runUps->read();
        if ($read === null) {
            return ['build' => null, 'levers' => [], 'tried' => 0, 'left' => 0];
        }
        $builds = $problems = [];
        foreach ($this->builds->readable() as $build) {
            [$builds[$build->id], $problems[$build->id]] = [$build, $this->problems->whole($build)];
        }
        $levers = new Priced(Compiler::ofTheTrade(), $read[1], $problems, $this->shows->byBuild($zone), $read[0]->runs, fn (Candidate $c): Problem => $this->posed($builds[$c->build], $c), $this->settings->calendar($zone), $this->workshop->bench(), $this->hints->now(), $this->clock->epoch());
        $run = $levers->run;
        if ($run === null) {
            return ['build' => null, 'levers' => [], 'tried' => 0, 'left' => 0];
        }
        $before = is_int($known['tried'] ?? null) ? $known['tried'] : 0;
        [$more, $tried, $all] = $levers->pricedFrom($before, $this->shows->all($zone), static fn (): bool => hrtime(true) - $began < self::AT_A_TIME);
        $told = [...(is_array($known['levers'] ?? null) ? $known['levers'] : []), ...array_map(fn (Lever $l): array => $this->told($l, $run), $more)];
        usort($told, static fn (array $a, array $b): int => [$a['allDaysLate'], -$a['wonMinutes']] <=> [$b['allDaysLate'], -$b['wonMinutes']]);

        return ['build' => $run->build, 'levers' => $told, 'tried' => $tried, 'left' => $all - $tried];
    }

    private function posed(LoadedBuild $build, Candidate $candidate): Problem
    {
        $build = $candidate->edits === [] ? $build : $build->with($build->kit->apply($candidate->edits));
        $now = $this->clock->epoch();

        return $this->problems->whole($candidate->accepts === null ? $build : $build->and(new Event(self::THOUGHT, EventKind::Verdict, $now, $now, [$candidate->accepts], verdict: Verdict::Accept, note: '-')), $candidate->show);
    }

    /** @return array<string, mixed> */
    private function told(Lever $lever, Run $run): array
    {
        $candidate = $lever->candidate;

        return [
            'title' => $candidate->title, 'build' => $candidate->build,
            'edits' => $candidate->edits === [] ? null : array_map(static fn (Edit $e): array => $e->toArray(), $candidate->edits),
            'date' => $candidate->date, 'sessions' => $candidate->date === null ? null : array_map(static fn (array $s): array => ['from' => $s[0], 'until' => $s[1]], $candidate->sessions),
            'shows' => $candidate->show === null ? null : $this->moved($candidate->build, $candidate->show), 'away' => $candidate->away,
            'event' => $candidate->accepts === null ? null : ['kind' => EventKind::Verdict->value, 'verdict' => Verdict::Accept->value, 'targets' => [$candidate->accepts], 'note' => 'Taken as it is, to be ready for '.($run->show->name ?? 'the show')],
            'ready' => Time::utc($lever->then->readyEpoch), 'daysLate' => $lever->then->daysLate(), 'allDaysLate' => $lever->allDaysLate,
            'spareMinutes' => $lever->then->spareSeconds === null ? null : intdiv($lever->then->spareSeconds, 60), 'wonMinutes' => intdiv($lever->wonSeconds, 60),
        ];
    }

    /** @return list<array<string, mixed>> the shows, with the build entered for another */
    private function moved(string $build, Show $show): array
    {
        return array_map(static fn (array $row): array => [...$row, 'builds' => $row['id'] === $show->id ? [...$row['builds'], $build] : array_values(array_diff($row['builds'], [$build]))], $this->shows->rows());
    }
}
