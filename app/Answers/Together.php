<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\Timing\Promise;
use App\Clock\BenchClock;
use App\Repositories\Hints;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use App\Repositories\Workshop;

/** Puts a build into the one timetable of all that are in hand: its own rules asked, the others by what they told when they were last looked into. */
final readonly class Together
{
    /** Tasks of other builds that a press times: a month of evenings and more. */
    private const LOOKED_AT = 600;

    /** Where it is kept since when somebody is at the bench, and for how long: for all builds, there is one pair of hands. */
    private const BENCH = 'bench';

    public function __construct(private Store $store, private Neighbours $neighbours, private Settings $settings, private Workshop $workshop, private Hints $hints, private Promises $promises, private BenchClock $clock)
    {
    }

    /**
     * @param  array<string, string>  $marks  of the builds in hand, in the user's order; one that is put away is planned by itself
     * @param  array{int, int}|null  $session  when somebody came to the bench, and for how many minutes
     * @param  bool  $anew  the kit is not the one the hands were told of
     */
    public function plan(LoadedBuild $loaded, Problem $problem, array $marks, ?array $session, bool $anew = false): Shared
    {
        $calendar = $this->settings->calendar($loaded->kit->zone);
        $others = isset($marks[$loaded->id]) ? $this->neighbours->of($marks, $loaded->id) : [];
        $builds = [];
        // With many builds in hand a press looks as far ahead as the coming evenings are filled.
        $all = array_sum(array_map(static fn (array $one): int => $one['neighbour']->tasks->count(), $others));
        $many = $all <= self::LOOKED_AT ? $all : intdiv(self::LOOKED_AT, count($others));
        foreach ($marks as $build => $_) {
            if ($build === $loaded->id) {
                $builds[$build] = $problem;
            } elseif (isset($others[$build])) {
                $builds[$build] = $others[$build]['neighbour']->first($many);
            }
        }
        $builds[$loaded->id] ??= $problem;
        $hints = $this->hints->now();
        $calendar = $session === null ? $calendar : $calendar->atBench(...$session);
        $promise = isset($marks[$loaded->id]) && ! $anew ? $this->promises->now($hints, $calendar) : new Promise;
        $plans = Compiler::ofTheTrade()->plans($builds, $calendar, $problem->context->nowEpoch, $this->workshop->bench(), $hints, $promise);

        return new Shared($plans->byBuild[$loaded->id], $plans, $others);
    }

    /**
     * What the others will ask of it, and what the hands were told.
     *
     * @param  bool  $inHand  it is among those the hands work on
     */
    public function keep(string $build, string $mark, Problem $problem, Shared $shared, bool $inHand): void
    {
        $this->neighbours->keep($build, $mark, $problem, $shared->plans->timetable->neighbours[$build]);
        if ($inHand) {
            $this->promises->keep($shared->plans->timetable->promise(), $this->hints->now());
        }
    }

    /**
     * Somebody is at the bench from now on, or still: where nobody said so, or their time is over, the calendar alone says.
     *
     * @return array{int, int}|null
     */
    public function session(?int $minutes): ?array
    {
        $now = $this->clock->epoch();
        $said = json_decode((string) $this->store->read(self::BENCH, 'session'), true);
        $asked = is_array($said) && is_int($said[0] ?? null) && is_int($said[1] ?? null) ? [$said[0], $said[1]] : null;
        if ($asked !== null && $now >= $asked[0] && $now < $asked[0] + 60 * $asked[1] && ($minutes === null || $asked[1] === $minutes)) {
            return $asked;
        }
        if ($minutes === null) {
            return null;
        }
        $this->store->write($this->store->path(self::BENCH, 'session'), json_encode([$now, $minutes], JSON_THROW_ON_ERROR));

        return [$now, $minutes];
    }
}
