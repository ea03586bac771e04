<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;

/**
 * One pair of hands while tasks are timed: knows arcs, sessions and air, and no rule. A task is taken when somebody has
 * decided for it; nothing here chooses.
 */
final class Hands
{
    /** Rounds in which what holds a task and the sessions have to agree on a moment. */
    private const ROUNDS = 12;

    /** Seconds after a washing in which its water is still there, if nothing else was done. */
    private const WATER_STAYS = 600;

    /** @var array<int, int> when each task begins, in the order they were taken */
    public array $start = [];

    /** @var array<int, int> */
    public array $end = [];

    /** @var array<int, int> when nothing held each any more, while the hands were free */
    public array $lets = [];

    /** @var array<int, int> of what begins a sitting: seconds by which it might begin later in its session */
    public array $spare = [];

    /** Seconds a session had to have for what was looked at last. */
    private int $takes = 0;

    public Held $held;

    public InGuns $guns;

    public Sitting $sitting;

    private readonly Bench $bench;

    /** Seconds in which one may spray in one go. */
    private readonly int $longestSpray;

    /** @var array<int, true> tasks for which a piece is in the cabinet */
    private array $inside = [];

    /** When the last washing ended: while nothing else is done the water is there. */
    public ?int $waterUntil = null;

    /** @param  int  $now  when they are free */
    public function __construct(private readonly Tasks $tasks, private readonly Calendar $calendar, WorkClock $clock, public int $now, Bench $bench = new Bench)
    {
        $this->longestSpray = $bench->longestSpray($calendar);
        // Where evenings and hours of places never meet, the hours are as good as not written down.
        $this->bench = $this->longestSpray === 0 ? new Bench($bench->guns, $bench->cabinet, due: $bench->due) : $bench;
        $this->waterUntil = $tasks->washed && $now - $tasks->last < self::WATER_STAYS ? $now : null;
        $this->held = new Held($tasks, $clock, $now, $this->bench, $calendar->zone);
        $this->guns = new InGuns($tasks, $now, $bench->guns);
        $this->inside = array_fill_keys($tasks->inside, true);
        $this->sitting = new Sitting($tasks, $this->held, $calendar);
    }

    /** What one pair does from then on the other knows nothing of. */
    public function __clone()
    {
        $this->held = clone $this->held;
        $this->guns = clone $this->guns;
        $this->sitting = $this->sitting->of($this->held);
    }

    /** When a task, or the mixing before it, is begun at the earliest from a moment on. */
    public function startOf(int $i, int $now): int
    {
        $sprays = $this->tasks->paint[$i] >= 0;
        $mix = $sprays ? $this->guns->mixing($i, $now) : 0;
        if ($this->tasks->fixed[$i] !== null) {
            return max($now, $this->tasks->fixed[$i] - $mix);
        }
        $begin = $now;
        $reserve = $sprays || $this->guns->loaded !== [] ? $this->guns->cleaningAfter($i) : 0;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $begin = $this->sitting->opens($i, max($begin + $mix, $this->letsFrom($i, $begin + $mix))) - $mix;
            // Once the wait is over the cup is: it is mixed anew before that, not after.
            $was = $mix;
            $mix = $sprays ? $this->guns->mixing($i, $begin) : 0;
            $sooner = $mix > $was ? max($now, $begin + $was - $mix) : $begin;
            $begin = $sooner < $begin && $this->guns->mixing($i, $sooner) === $mix ? $sooner : $begin;
            $hours = $sprays && $this->bench->places !== [];
            // A sitting that no session holds together with the rinsing is begun as if it were none: else it would run over the end.
            $takes = $this->takes = $mix + $reserve + $this->sitting->takes($i, $this->seconds($i, $begin), $begin + $mix, ($hours ? $this->longestSpray : $this->calendar->longest()) - $mix - $reserve);
            $fit = $this->calendar->earliestFit($begin, ($hours ? min($takes, $this->longestSpray) : $takes) / 60);
            if ($fit === $begin) {
                return $begin;
            }
            // How long a sitting takes depends on when it is begun: over a night its coats dry more slowly than in the next session.
            $next = $round < self::ROUNDS / 2 && $this->sitting->isBegunWith($i) ? $this->calendar->nextAfter($begin) : $fit;
            $begin = min($fit, $next);
        }

        return $begin;
    }

    /**
     * The same where the guns are cleaned first, since nothing more is sprayed in this session otherwise.
     *
     * @param  int|null  $begin  what startOf said of the same moment, where it was just asked
     */
    public function opensAt(int $i, int $at, ?int $begin = null): int
    {
        $begin ??= $this->startOf($i, $at);
        if ($begin <= $at || $this->guns->loaded === [] || ! $this->guns->dryBefore($i, $begin)) {
            return $begin;
        }
        $loaded = $this->guns->loaded;
        $clean = $this->now + $this->guns->cleaningAfter(-1);
        $this->guns->loaded = [];
        $begin = $this->startOf($i, max($at, $clean));
        $this->guns->loaded = $loaded;

        return $begin;
    }

    /**
     * Begins it as soon as it may be from a moment on, cleaning and mixing before it where that is due, and ends with it.
     *
     * @param  int  $at  not before the hands are free
     * @param  int|null  $begin  what startOf said of the same moment, where nothing was asked since
     * @return list<int> tasks that wait for none any more
     */
    public function take(int $i, int $at, ?int $begin = null): array
    {
        $begin ??= $this->startOf($i, $at);
        $this->lets[$i] = $this->sitting->opens($i, $this->letsFrom($i, $at));
        // What is cleaned moves the task, and while it waits another paint may dry.
        while (($clean = $this->guns->cleanBefore($i, $begin, $this->now)) !== $this->now) {
            $this->now = $clean;
            $begin = $this->startOf($i, max($at, $clean));
        }
        if ($this->sitting->isBegunWith($i)) {
            $this->spare[$i] = $this->calendar->endsAt($begin) - $begin - $this->takes;
        }
        $begin = $this->guns->mix($i, $begin);
        $end = $begin + $this->seconds($i, $begin);
        $this->start[$i] = $begin;
        $this->end[$i] = $this->now = $end;
        $this->waterUntil = $this->tasks->water[$i] > 0 ? $end : null;
        $this->guns->sprayed($this->tasks->paint[$i], $end);
        unset($this->inside[$i]);
        if (isset($this->tasks->cabinet[$i])) {
            $this->inside[$this->tasks->cabinet[$i]] = true;
        }
        $this->sitting->done($i, $this->end);

        return $this->held->done($i, $end, $this->end);
    }

    /** When nothing holds a task any more, and there is a place where it puts a piece to dry, at the earliest from a moment on. */
    public function letsFrom(int $i, int $from): int
    {
        $from = $this->held->letsFrom($i, $from);

        return isset($this->tasks->cabinet[$i]) && ! $this->held->isAsPromised($i) && count($this->inside) >= $this->bench->cabinet ? $this->placeFrom($from) : $from;
    }

    /** A piece is out of the cabinet when it is next worked on, or once what it dried for may be done: then somebody else may have its place. */
    private function placeFrom(int $from): int
    {
        $free = [];
        foreach ($this->inside as $for => $_) {
            $free[] = $this->held->letsFrom($for, $from);
        }
        sort($free);

        return max($from, $free[count($free) - $this->bench->cabinet]);
    }

    /** Each gun holds a paint that is sprayed again before it dries, or one does and one is patient: to load another now would be to mix it again. */
    public function areGunsWaiting(int $at, bool $patient): bool
    {
        $waiting = [];
        foreach (! $patient && ! $this->guns->areFull() ? [] : $this->sitting->left as $i => $_) {
            $last = $this->guns->loaded[$this->tasks->paint[$i]] ?? null;
            if ($last !== null && $this->held->letsFrom($i, $at) - $last < InGuns::STAYS) {
                $waiting[$this->tasks->paint[$i]] = true;
            }
        }

        return $waiting !== [] && ($patient || count($waiting) >= count($this->guns->loaded));
    }

    /**
     * @param  array<int, int>  $rank
     * @return array<int, int> what goes on with a sitting that is begun, by rank; while guns wait, what another paint has to be loaded for waits too
     */
    public function goesOn(Awake $awake, array $rank, int $at, bool $patient): array
    {
        $wait = $this->sitting->left !== [] && $this->areGunsWaiting($at, $patient);
        $sat = [];
        foreach ($this->sitting->left as $i => $_) {
            if ($awake->has($i) && ! ($wait && $this->guns->mixing($i, $at) > 0)) {
                $sat[$rank[$i]] = $i;
            }
        }
        ksort($sat);

        return $sat;
    }

    public function finish(): void
    {
        $this->guns->finish($this->now);
    }

    /** Hands-on, begun at a moment: what is washed in one go shares the water. */
    private function seconds(int $i, int $begin): int
    {
        return $begin === $this->waterUntil ? $this->tasks->seconds[$i] - $this->tasks->water[$i] : $this->tasks->seconds[$i];
    }
}
