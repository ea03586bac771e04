<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Plans;
use AmberStep\Core\RunUp\ByArcs;
use AmberStep\Core\RunUp\ByPlans;
use AmberStep\Core\RunUp\RunUp;
use AmberStep\Core\RunUp\SessionSheet;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Http\Presenters\RunUpPresenter;
use App\Http\Presenters\SessionSheetPresenter;
use App\Repositories\Evenings;
use App\Repositories\Hints;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use App\Repositories\Shows;
use App\Repositories\Workshop;
use App\Room\RoomSource;

/** The way of all builds to their shows: worked out once, kept until something it rests on changes or the plan runs out. */
final readonly class RunUps
{
    /** Where it is kept: it belongs to no build. */
    private const BENCH = 'bench';

    private const NAME = 'run-up';

    private const LATE = 'late';

    private const SESSION = 'session';

    public function __construct(private Store $store, private Marks $marks, private AllBuilds $builds, private Shows $shows, private Settings $settings, private Evenings $evenings, private BenchClock $clock, private Neighbours $neighbours, private ShelfRepository $shelf, private RoomSource $rooms, private Workshop $workshop, private Hints $hints)
    {
    }

    public function ask(): Kept
    {
        $now = $this->clock->epoch();
        $mark = $this->marks->withTimes('run-up');
        $kept = $this->kept($mark, $now);
        if ($kept !== null) {
            return $kept;
        }
        $read = $this->read();
        $run = $read[0] ?? null;
        $until = self::holdsUntil($read[1]->byBuild ?? [], $now);
        $zone = BenchZone::zone();
        $answer = $run === null ? ['settled' => true, 'shows' => [], 'eveningMinutes' => 0, 'builds' => [], 'columns' => [], 'soonest' => null, 'overBestMinutes' => 0] : RunUpPresenter::of($run, $this->evenings->dates(), $zone, true);
        $this->store->write($this->store->path(self::BENCH, self::LATE), json_encode([$this->marks->ofKits(), $run === null ? [] : self::daysLate($run)], JSON_THROW_ON_ERROR));
        $kept = new Kept($mark, $now, $until, 0, null, Packed::of($answer));
        $this->store->put(self::BENCH, self::NAME, $kept);

        return $kept;
    }

    /** What is known at once: as it was worked out last, or where something was changed since, timed by what the builds told, no rule asked. */
    public function glance(): Kept|Packed
    {
        $now = $this->clock->epoch();
        $kept = $this->kept($this->marks->withTimes('run-up'), $now);
        $builds = [];
        foreach ($kept === null ? $this->neighbours->of($this->marks->ofBuilds(), '') : [] as $build => $one) {
            $builds[$build] = ['name' => $one['name'], 'neighbour' => $one['neighbour'], 'lines' => array_map(static fn (array $line): array => ['title' => is_string($line['title'] ?? null) ? $line['title'] : '', 'piece' => is_string($line['piece'] ?? null) ? $line['piece'] : ''], $one['lines'])];
        }
        if ($kept !== null || $builds === []) {
            return $kept ?? $this->ask();
        }
        $zone = BenchZone::zone();
        $run = ByArcs::of($builds, $this->shelf->shelf(), $this->shows->byBuild($zone), $this->settings->calendar($zone), new WorkClock($this->rooms->room($now)), $now, $this->workshop->bench(), $this->hints->now());

        return Packed::of(RunUpPresenter::of($run, $this->evenings->dates(), $zone, false));
    }

    private function kept(string $mark, int $now): ?Kept
    {
        $kept = $this->store->get(self::BENCH, self::NAME);

        return $kept !== null && $kept->holds($mark, $now) ? $kept : null;
    }

    /**
     * One session as it is worked.
     *
     * @param  int|null  $until  when it ends; null: the first there is
     *
     * @throws BadDocument where no session ends then
     */
    public function session(?int $until): Kept
    {
        $now = $this->clock->epoch();
        $mark = $this->marks->withTimes('session '.$until);
        $kept = $this->store->get(self::BENCH, self::SESSION);
        if ($kept !== null && $kept->holds($mark, $now)) {
            return $kept;
        }
        [$run, $plans] = $this->read() ?? throw BadDocument::at('session', 'is of no build', 'take a build in hand');
        $sheet = SessionSheet::of($run, $plans, $until) ?? throw BadDocument::at('until', 'is the end of no session on the way to the show', 'ask the run-up for those there are');
        $kept = new Kept($mark, $now, self::holdsUntil($plans->byBuild, $now), 0, null, Packed::of(SessionSheetPresenter::of($sheet, $plans->byBuild, BenchZone::zone())));
        $this->store->put(self::BENCH, self::SESSION, $kept);

        return $kept;
    }

    /** @param  array<array-key, Plan>  $plans */
    private static function holdsUntil(array $plans, int $now): int
    {
        return min([$now + 86400, ...array_map(static fn (Plan $p): int => max($now + 60, $p->validUntil), $plans)]);
    }

    /** @return array<string, int> of builds that are late */
    private static function daysLate(RunUp $run): array
    {
        $days = [];
        foreach ($run->runs as $one) {
            $days[$one->build] = $one->daysLate();
        }

        return array_filter($days, static fn (int $d): bool => $d > 0);
    }

    /** @return array<string, int> days by which builds miss their shows: the frame says so at once, and nothing where kits, shows or evenings were changed since it was worked out */
    public function late(): array
    {
        $said = json_decode((string) $this->store->read(self::BENCH, self::LATE), true);

        return is_array($said) && ($said[0] ?? null) === $this->marks->ofKits() && is_array($said[1] ?? null) ? array_filter($said[1], is_int(...)) : [];
    }

    /**
     * @return array{RunUp, Plans}|null of the builds that can be read; null where none is in hand
     */
    public function read(): ?array
    {
        $plans = $this->builds->allOrNone();
        $zone = BenchZone::zone();

        return $plans === null ? null : [ByPlans::of($plans, $this->shows->byBuild($zone), $this->settings->calendar($zone), $this->clock->epoch()), $plans];
    }
}
