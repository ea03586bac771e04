<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\RunUp\Chance;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Http\Presenters\Time;
use App\Repositories\Settings;
use App\Repositories\Workshop;

/**
 * How likely it is that the shows are made. It takes many plans to say so: it is counted beside the search, and told once
 * it was; of another state than the one it was counted for nothing is told.
 *
 * @phpstan-type Counted array{counted: bool, draws: int, allInTime: int, builds: list<array{id: string, inTime: int|null, half: string|null, nine: string|null}>}
 */
final readonly class Chances
{
    private const BENCH = 'bench';

    private const NAME = 'chance';

    /** Seconds after which what was counted is told no more: the evening has gone on. */
    private const HOLDS = 6 * 3600;

    private const NONE = ['counted' => false, 'draws' => 0, 'allInTime' => 0, 'builds' => []];

    public function __construct(private Store $store, private Marks $marks, private AllBuilds $builds, private Settings $settings, private Workshop $workshop, private BenchClock $clock)
    {
    }

    /** @return Counted */
    public function now(): array
    {
        $said = json_decode((string) $this->store->read(self::BENCH, self::NAME), true);
        if (! is_array($said) || ($said[0] ?? null) !== $this->marks->withTimes('chance') || ! is_int($said[1] ?? null) || $this->clock->epoch() - $said[1] > self::HOLDS || ! is_array($said[2] ?? null)) {
            return self::NONE;
        }
        /** @var Counted $counted */
        $counted = $said[2];

        return $counted;
    }

    /**
     * @param  callable(): bool  $goesOn  false: the state has moved on, and nothing is kept
     * @return bool whether it was counted
     */
    public function count(callable $goesOn, int $draws = Chance::DRAWS): bool
    {
        $mark = $this->marks->withTimes('chance');
        $now = $this->clock->epoch();
        $plans = $this->builds->allOrNone();
        if ($plans === null) {
            return false;
        }
        $timetable = $plans->timetable;
        $bench = $this->workshop->bench();
        $chance = new Chance($timetable->tasks, $timetable->timed, $this->settings->calendar(BenchZone::zone()), $timetable->clock(), $now, $bench, $timetable->spreads(), $draws, $goesOn);
        if ($chance->draws < $draws) {
            return false;
        }
        $builds = [];
        foreach (array_keys($chance->ready) as $build) {
            $builds[] = ['id' => $build, 'inTime' => isset($bench->due[$build]) ? $chance->inTime($build, $bench->due[$build]) : null, 'half' => Time::utc($chance->readyIn($build, 5)), 'nine' => Time::utc($chance->readyIn($build, 9))];
        }
        $this->store->write($this->store->path(self::BENCH, self::NAME), json_encode([$mark, $now, ['counted' => true, 'draws' => $draws, 'allInTime' => $chance->allInTime, 'builds' => $builds]], JSON_THROW_ON_ERROR));

        return true;
    }
}
