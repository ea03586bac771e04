<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use ArrayObject;

/** Sittings while tasks are timed: what is begun in one go is ended in it, and time is kept for that. */
final class Sitting
{
    /** Seconds for which a sitting waits for what belongs to it: what the user put off for longer is done for itself. */
    private const WAITS = 7 * 86400;

    /** @var array<int, true> tasks that are left of sittings that are begun */
    public array $left = [];

    /** Seconds these take. */
    public int $rest = 0;

    /** @var array<int, list<int>> tasks of each sitting */
    private array $of = [];

    /** @var ArrayObject<int, bool> what is known already of sittings, for all hands that come from these */
    private readonly ArrayObject $many;

    /** @var array<int, true> sittings that are begun */
    private array $begun = [];

    private SittingRun $run;

    /** @var array<int, int> until when each is lifted that is on */
    private array $lifts = [];

    public function __construct(private readonly Tasks $tasks, private Held $held, Calendar $calendar)
    {
        foreach ($tasks->sitting as $i => $sitting) {
            if ($sitting >= 0) {
                $this->of[$sitting][] = $i;
            }
        }
        /** @var ArrayObject<int, bool> $many */
        $many = new ArrayObject;
        $this->many = $many;
        $this->run = new SittingRun($tasks, $held, $calendar, $this->of);
        foreach ($tasks->begun as $sitting) {
            $this->begin($sitting, []);
        }
        $this->lifts = array_filter($tasks->laid, static fn (int $off): bool => $tasks->sitting[$off] >= 0, ARRAY_FILTER_USE_KEY);
    }

    /** The same while tasks are timed by other hands, from here on. */
    public function of(Held $held): self
    {
        $sitting = clone $this;
        $sitting->held = $held;
        $sitting->run = $this->run->of($held);

        return $sitting;
    }

    /**
     * Seconds a session has to have for a task that is begun then: the whole of a sitting it begins, and what is left of
     * those that are begun; as far as any session has them.
     *
     * @param  int  $takes  seconds of the task itself
     * @param  int  $longest  session, seconds
     */
    public function takes(int $i, int $takes, int $begin, int $longest): int
    {
        if (isset($this->left[$i])) {
            return $takes;
        }
        if ($this->tasks->sitting[$i] >= 0) {
            $guns = 0;
            foreach (array_keys($this->paintsBegunWith($i)) as $paint) {
                $guns += InGuns::MIXING + $this->tasks->paints[$paint]->cleanLast;
            }
            $span = $guns + $this->run->span($i, $begin);
            // What is touch dry only after the session is lifted in the next.
            $span = $span <= $longest ? $span : $guns + $this->run->span($i, $begin, $this->tasks->stays);
            $takes = $span <= $longest ? max($takes, $span) : $takes;
        }

        return $this->rest > 0 && $takes + $this->rest <= $longest ? $takes + $this->rest : $takes;
    }

    /**
     * When a sitting may be begun, at the earliest from a moment on: once nothing from outside holds what else belongs to it,
     * and in a session after which what is laid first comes off in time.
     */
    public function opens(int $i, int $begin): int
    {
        $sitting = $this->tasks->sitting[$i];
        if ($sitting < 0 || $this->held->isAsPromised($i) || isset($this->begun[$sitting]) || count($this->of[$sitting]) < 2) {
            return $begin;
        }
        $begin = $this->run->comesOffInTime($i, $begin);
        if (! $this->isOfMany($sitting)) {
            return $begin;
        }
        $from = $begin;
        foreach ($this->of[$sitting] as $member) {
            $lets = $member !== $i && $this->held->open[$member] === 0 ? $this->held->letsFrom($member, $begin) : $begin;
            $from = $lets - $begin > self::WAITS ? $from : max($from, $lets);
        }

        return $from;
    }

    public function isBegunWith(int $i): bool
    {
        $sitting = $this->tasks->sitting[$i];

        return $sitting >= 0 && ! isset($this->begun[$sitting]) && count($this->of[$sitting]) > 1;
    }

    /** @return array<int, true> paints that go through a gun in a sitting a task begins, where what is laid in it may not stay for long */
    public function paintsBegunWith(int $i): array
    {
        $paints = [];
        foreach ($this->run->stays($i) === [] || isset($this->left[$i]) ? [] : $this->of[$this->tasks->sitting[$i]] as $member) {
            $paint = $this->tasks->paint[$member];
            if ($paint >= 0 && $this->tasks->paints[$paint]->gun) {
                $paints[$paint] = true;
            }
        }

        return $paints;
    }

    /** Whether a sitting holds pieces that come to it by ways of their own. */
    private function isOfMany(int $sitting): bool
    {
        if (! isset($this->many[$sitting])) {
            $open = array_filter($this->of[$sitting], fn (int $member): bool => array_intersect($this->tasks->unlocks[$member], $this->of[$sitting]) !== []);
            $this->many[$sitting] = count($open) < count($this->of[$sitting]) - 1;
        }

        return $this->many[$sitting];
    }

    /** @return list<int> what is left to be done beside something that may not stay for long, and what takes it off: it goes before all else */
    public function hurried(): array
    {
        $left = [];
        foreach ($this->lifts as $off => $_) {
            array_push($left, ...(array_filter($this->of[$this->tasks->sitting[$off]], fn (int $member): bool => isset($this->left[$member]))));
        }

        return $left;
    }

    /** Whether a task would be begun before something that goes before all else and may be begun too. */
    public function isPassedOver(int $i, int $at): bool
    {
        $hurried = $this->lifts === [] ? [] : $this->hurried();
        if (in_array($i, $hurried, true)) {
            return false;
        }
        foreach ($hurried as $other) {
            if ($this->held->open[$other] === 0 && $this->held->letsFrom($other, $at) <= $at) {
                return true;
            }
        }

        return false;
    }

    /** @return array<int, true> paints that go through a gun of what is still sprayed beside something that may not stay for long */
    public function booked(int $at): array
    {
        $booked = [];
        foreach ($this->lifts as $off => $until) {
            foreach ($at < $until ? $this->of[$this->tasks->sitting[$off]] : [] as $member) {
                $paint = $this->tasks->paint[$member];
                if (isset($this->left[$member]) && $paint >= 0 && $this->tasks->paints[$paint]->gun) {
                    $booked[$paint] = true;
                }
            }
        }

        return $booked;
    }

    /**
     * Whether a task keeps what may not stay long from being lifted in time: it is at the same piece, and no part of what
     * is done in one go. Once the time is over nothing waits for it any more.
     */
    public function isBrokenBy(int $i, int $at): bool
    {
        foreach ($this->lifts as $off => $until) {
            if (! isset($this->left[$i]) && $at < $until && array_intersect(array_column($this->tasks->shuts[$i], 0), $this->tasks->passes[$off]) !== []) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<int, int>  $done  ends of all that are */
    public function done(int $i, array $done): void
    {
        $sitting = $this->tasks->sitting[$i];
        unset($this->lifts[$i]);
        if (isset($this->left[$i])) {
            unset($this->left[$i]);
            $this->rest -= $this->tasks->seconds[$i];
        } elseif ($sitting >= 0 && ! isset($this->begun[$sitting])) {
            $this->begin($sitting, $done);
        }
        foreach ($sitting < 0 ? [] : $this->run->stays($i) as $off => [$on, $seconds]) {
            if ($on === $i) {
                $this->lifts[$off] = $done[$i] + $seconds;
            }
        }
    }

    /** @param  array<int, int>  $done  ends of all that are */
    private function begin(int $sitting, array $done): void
    {
        $this->begun[$sitting] = true;
        foreach ($this->of[$sitting] ?? [] as $member) {
            if (! isset($done[$member])) {
                $this->left[$member] = true;
                $this->rest += $this->tasks->seconds[$member];
            }
        }
    }
}
