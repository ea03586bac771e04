<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\WorkClock;

/**
 * Decides what is done next whenever the hands are free, and never lets them wait while something may be done, unless it
 * is put off: what closes soon, then what is sprayed with the paint in a gun, what shares the water, what goes on with a
 * sitting, then by rank. Another paint goes into a gun only once nothing else is left to be done, first the one of which
 * most is ready.
 */
final class Dispatcher
{
    /** A chance that closes within this many seconds is taken before anything else. */
    public const CLOSING_SOON = 3 * 3600;

    /** Seconds of idle hands after which no paint is held back until all is ready for it. */
    private const IDLE = 3 * 3600;

    private Hands $hands;

    /** The moment that is looked at; the hands may be free since long before. */
    private int $at;

    private Awake $awake;

    private Patience $patience;

    private ?Promised $promised = null;

    private SessionLeft $session;

    private ByPaint $paints;

    /** Whatever paint is ready is loaded: hands were idle for long enough. */
    private bool $gaveUp = false;

    /** @var array<int, list<int>> tasks that wait for one, put off until it is done */
    private array $behind = [];

    /**
     * @param  array<int, int>  $rank  of each task, all different: the lowest goes first
     * @param  array<int, int>  $putOff  the task another is put off for, by task
     * @param  Loading  $loading  when a paint is put into a gun
     */
    public function __construct(private readonly Tasks $tasks, private readonly Calendar $calendar, private readonly WorkClock $clock, private readonly int $now, private readonly Bench $bench, private readonly array $rank, private readonly array $putOff = [], private readonly Loading $loading = Loading::AsItComes, private readonly ?Told $told = null)
    {
    }

    public function run(): Timed
    {
        $this->hands = new Hands($this->tasks, $this->calendar, $this->clock, $this->now, $this->bench);
        $this->session = new SessionLeft($this->tasks, $this->calendar, $this->hands);
        $this->patience = new Patience($this->tasks, $this->hands, $this->calendar, $this->bench->guns);
        $this->promised = $this->told === null ? null : new Promised($this->told, $this->tasks, $this->calendar, $this->hands);
        $this->awake = new Awake($this->tasks, $this->rank);
        $this->paints = new ByPaint($this->tasks, $this->calendar, $this->awake, $this->hands, $this->rank);
        $this->at = $this->now;
        foreach ($this->putOff as $task => $for) {
            $this->hands->held->open[$task]++;
            $this->behind[$for][] = $task;
        }
        foreach ($this->hands->held->open as $i => $open) {
            if ($open === 0) {
                $this->awake->sleep($i, $this->hands->held->until($i) - $this->tasks->lead($i));
            }
        }
        $fixed = array_filter($this->tasks->fixed, is_int(...)) !== [];
        while (true) {
            // Between sessions nothing is begun that the user did not fix a moment for.
            if (! $fixed && $this->calendar->endsAt($this->at) <= $this->at) {
                $this->at = $this->calendar->nextAfter($this->at);
            }
            $this->awake->wake($this->at);
            $i = $this->next();
            if ($i === null) {
                // What is held is let go once the hands have been idle for so long.
                if ($this->loading === Loading::Whole && ! $this->gaveUp && $this->at - $this->hands->now > self::IDLE) {
                    $this->gaveUp = true;

                    continue;
                }
                if (! $this->wait()) {
                    break;
                }

                continue;
            }
            $this->gaveUp = false;
            $this->awake->done($i);
            $fresh = $this->hands->take($i, $this->at);
            $this->promised?->taken($i, $this->hands->start[$i]);
            $this->at = $this->hands->now;
            $this->paints->taken($i);
            foreach ($this->behind[$i] ?? [] as $task) {
                if (--$this->hands->held->open[$task] === 0) {
                    $fresh[] = $task;
                }
            }
            foreach ($fresh as $next) {
                $this->awake->sleep($next, $this->hands->held->until($next) - $this->tasks->lead($next));
            }
        }
        $this->hands->finish();

        return Timed::by($this->hands);
    }

    /** What was promised goes before what is decided anew, but for a chance that closes and was not known of. */
    private function next(): ?int
    {
        $this->session->look($this->at);
        $next = $this->promised?->next($this->at);
        $closing = $next === null ? null : $this->closing();

        return match (true) {
            $next === null => $this->promised?->rests === true ? null : $this->choose(),
            default => $closing === null || $this->promised?->has($closing) === true ? $next : $closing,
        };
    }

    /** @return int|null the task that is begun now; null where none may be */
    private function choose(): ?int
    {
        return $this->first(array_filter($this->hands->sitting->hurried(), $this->awake->has(...))) ?? $this->closing() ?? $this->paints->inTheGun($this->at, $this->first(...)) ?? $this->inTheWater() ?? $this->first($this->hands->goesOn($this->awake, $this->rank, $this->at, $this->loading !== Loading::AsItComes)) ?? $this->byHandOrWithAnother();
    }

    /** What is done by hand goes before another paint, but where each is done in its turn. */
    private function byHandOrWithAnother(): ?int
    {
        $hand = $this->first($this->patience->byHand($this->awake->of(-1), $this->at));
        $inTurn = $hand !== null && $this->loading === Loading::InTurn && ! $this->hands->areGunsWaiting($this->at, true);

        return ($inTurn ? $this->paints->firstBefore($this->rank[$hand], $this->at, $this->first(...), $this->booked()) : null) ?? $hand ?? $this->load();
    }

    /** The first coat of another paint: no gun is taken for it while all are needed for what goes on beside a soft mask. */
    private function load(): ?int
    {
        if ($this->hands->areGunsWaiting($this->at, $this->loading !== Loading::AsItComes)) {
            return null;
        }

        return $this->paints->mostReady($this->at, $this->first(...), $this->loading === Loading::Whole && ! $this->gaveUp, $this->booked());
    }

    /** @return array<int, true>|null paints the guns are kept for, where that is all of them */
    private function booked(): ?array
    {
        $booked = $this->hands->sitting->booked($this->at);

        return count($booked) < $this->bench->guns ? null : $booked;
    }

    private function closing(): ?int
    {
        $soonest = null;
        foreach ($this->hands->held->isClosing($this->at, $this->at + self::CLOSING_SOON) ? $this->hands->held->closes : [] as $i => $_) {
            $closes = $this->hands->held->closesAt($i, $this->at);
            if ($closes !== null && $closes - $this->at < self::CLOSING_SOON && $this->awake->has($i) && ($soonest === null || [$closes, $this->rank[$i]] < [$soonest[0], $soonest[1]]) && $this->isOpen($i)) {
                $soonest = [$closes, $this->rank[$i], $i];
            }
        }

        return $soonest[2] ?? null;
    }

    /** What is washed in one go shares the water. */
    private function inTheWater(): ?int
    {
        return $this->hands->waterUntil !== $this->at ? null : $this->first(array_filter($this->awake->of(-1), fn (int $i): bool => $this->tasks->water[$i] > 0));
    }

    /**
     * @param  array<int, int>  $tasks  by rank
     * @return int|null the first that may be begun now
     */
    private function first(array $tasks): ?int
    {
        foreach ($tasks as $i) {
            if ($this->isOpen($i)) {
                return $i;
            }
        }

        return null;
    }

    /** Lets time pass until something may have changed; false where nothing is to come. */
    private function wait(): bool
    {
        if ($this->promised?->rests === true) {
            $this->at = $this->calendar->nextAfter($this->at);

            return true;
        }
        $next = $this->awake->nextAlarm();
        $session = null;
        foreach (array_merge(...array_values($this->awake->all)) as $i) {
            $lets = $this->hands->letsFrom($i, $this->at) - $this->hands->guns->mixing($i, $this->at);
            // What is let go and yet not begun does not fit into this session any more, or not before the guns are clean.
            $next = min($next, match (true) {
                $lets > $this->at => $lets,
                $this->session->clean > $this->at => $this->session->clean,
                default => $session ??= $this->calendar->nextAfter($this->at),
            });
        }
        $this->at = $next === PHP_INT_MAX ? $this->at : max($next, $this->at);

        return $next !== PHP_INT_MAX;
    }

    private function isOpen(int $i): bool
    {
        if ($this->hands->sitting->isBrokenBy($i, $this->at) || ! $this->patience->lets($i, $this->at) || ! $this->session->hasRoomFor($i)) {
            return false;
        }
        $lets = $this->hands->letsFrom($i, $this->at) - $this->hands->guns->mixing($i, $this->at);
        if ($lets > $this->at) {
            // What holds it may hold it longer by then, hardly shorter.
            $this->awake->drop($i);
            $this->awake->sleep($i, $lets);

            return false;
        }

        return $this->session->opens($i, $this->at);
    }
}
