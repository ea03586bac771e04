<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

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

    /** @var array<int, array<string, true>> gates a sitting shuts and has to pass itself */
    private array $passed = [];

    /** @var array<int, bool> */
    private array $many = [];

    /** @var array<int, true> sittings that are begun */
    private array $begun = [];

    public function __construct(private readonly Tasks $tasks, private readonly Held $held)
    {
        foreach ($tasks->sitting as $i => $sitting) {
            if ($sitting >= 0) {
                $this->of[$sitting][] = $i;
            }
        }
        foreach ($tasks->begun as $sitting) {
            $this->begin($sitting, []);
        }
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
            $span = $this->span($i, $begin);
            $takes = $span <= $longest ? max($takes, $span) : $takes;
        }

        return $this->rest > 0 && $takes + $this->rest <= $longest ? $takes + $this->rest : $takes;
    }

    /**
     * When a sitting may be begun, at the earliest from a moment on: once nothing from outside holds what else belongs to it.
     */
    public function opens(int $i, int $begin): int
    {
        $sitting = $this->tasks->sitting[$i];
        if ($sitting < 0 || $this->held->isAsPromised($i) || isset($this->begun[$sitting]) || count($this->of[$sitting]) < 2 || ! $this->isOfMany($sitting)) {
            return $begin;
        }
        $from = $begin;
        foreach ($this->of[$sitting] as $member) {
            $lets = $member !== $i && $this->held->open[$member] === 0 ? $this->held->letsFrom($member, $begin) : $begin;
            $from = $lets - $begin > self::WAITS ? $from : max($from, $lets);
        }

        return $from;
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

    /** @param  array<int, int>  $done  ends of all that are */
    public function done(int $i, array $done): void
    {
        $sitting = $this->tasks->sitting[$i];
        if (isset($this->left[$i])) {
            unset($this->left[$i]);
            $this->rest -= $this->tasks->seconds[$i];
        } elseif ($sitting >= 0 && ! isset($this->begun[$sitting])) {
            $this->begin($sitting, $done);
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

    /** @return array<string, true> */
    private function gatesWithin(int $sitting): array
    {
        $passes = $shuts = [];
        foreach ($this->of[$sitting] as $member) {
            $passes += array_fill_keys($this->tasks->passes[$member], true);
            $shuts += array_fill_keys(array_column($this->tasks->shuts[$member], 0), true);
        }

        return array_intersect_key($passes, $shuts);
    }

    /** Seconds from the begin of the first task of a sitting to the end of its last. */
    private function span(int $i, int $begin): int
    {
        $sitting = $this->tasks->sitting[$i];
        $free = $gates = [];
        $t = $begin;
        $passed = $this->passed[$sitting] ??= $this->gatesWithin($sitting);
        foreach ($this->of[$sitting] as $member) {
            foreach ($gates === [] ? [] : $this->tasks->passes[$member] as $gate) {
                $t = max($t, $gates[$gate] ?? 0);
            }
            $t = max($t, $free[$member] ?? 0) + $this->tasks->seconds[$member];
            foreach ($passed === [] ? [] : $this->tasks->shuts[$member] as [$gate, $work, $by]) {
                if (isset($passed[$gate])) {
                    $gates[$gate] = max($gates[$gate] ?? 0, $this->held->after($t, $work, $by));
                }
            }
            foreach ($this->tasks->arcs[$member] as [$to, $work, $by, $from]) {
                if ($from === 0 && $this->tasks->sitting[$to] === $sitting) {
                    $free[$to] = max($free[$to] ?? 0, $this->held->after($t, $work, $by));
                }
            }
        }

        return $t - $begin;
    }
}
