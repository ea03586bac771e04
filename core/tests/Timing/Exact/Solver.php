<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Timing\Exact;

/**
 * The best order of a small evening, by trying all that differ: what can follow is worked out once for each state of
 * hands, guns, cups and waits. Shares nothing with the planner but the numbers; minutes from Monday 0:00.
 *
 * @phpstan-import-type Evening from Cases
 * @phpstan-import-type Task from Cases
 */
final class Solver
{
    private const STATES = 150000;

    /** @var array<string, array{int, int}> minutes at the guns, and finishes, of all that is left */
    private array $known = [];

    /** @var list<array{int, int}> */
    private array $sessions = [];

    /** @var list<Task> */
    private readonly array $tasks;

    private readonly int $guns;

    /** @var array<int, int> what a piece dries for, by the task that puts it into the cabinet: it takes one */
    private readonly array $cabinet;

    /** @var array<int, int> how many tasks each build has */
    private array $of = [];

    private int $longest = 0;

    /**
     * @param  Evening  $case
     * @param  bool  $idles  ways are tried too in which an evening is ended before its time
     */
    public function __construct(array $case, private readonly bool $idles = false)
    {
        $this->tasks = $case['tasks'];
        $this->guns = $case['guns'];
        $this->cabinet = $case['cabinet'];
        for ($day = 0; $day < 60; $day++) {
            foreach ($case['sessions'][['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'][$day % 7]] as [$from, $until]) {
                $this->sessions[] = [1440 * $day + $from, 1440 * $day + $until];
                $this->longest = max($this->longest, $until - $from);
            }
        }
        foreach ($this->tasks as $task) {
            $this->of[$task['build']] = ($this->of[$task['build']] ?? 0) + 1;
        }
    }

    /** @return array{int, int}|null minutes at the guns that are not spraying, and minutes at the bench until each build ends, summed; null where there are too many ways to try */
    public function best(int $now): ?array
    {
        $all = count($this->tasks);

        return $this->from(['done' => array_fill(0, $all, false), 'now' => $now, 'gun' => [], 'cup' => [], 'free' => array_fill(0, $all, 0), 'water' => -1, 'idle' => false], $all);
    }

    /**
     * @param  array{done: list<bool>, now: int, gun: array<int, int>, cup: array<int, int>, free: list<int>, water: int, idle: bool}  $s
     * @return array{int, int}|null
     */
    private function from(array $s, int $left): ?array
    {
        if ($left === 0) {
            return [5 * count($s['gun']), 0];
        }
        $key = $this->key($s);
        if (isset($this->known[$key])) {
            return $this->known[$key];
        }
        $best = null;
        foreach ($this->tasks as $i => $task) {
            if ($s['done'][$i] || array_filter($task['after'], static fn (int $b): bool => ! $s['done'][$b]) !== []) {
                continue;
            }
            [$next, $gun] = $this->after($s, $i);
            $rest = $this->from($next, $left - 1);
            if ($rest === null || count($this->known) > self::STATES) {
                return null;
            }
            $own = array_filter(array_keys($this->tasks), fn (int $j): bool => $this->tasks[$j]['build'] === $task['build'] && ! $next['done'][$j]) === [] ? $this->worked($next['now']) : 0;
            $value = [$gun + $rest[0], $own + $rest[1]];
            $best = $best === null || $value < $best ? $value : $best;
        }

        // Nothing is begun any more this evening, on purpose.
        $idle = ! $this->idles || $s['idle'] ? null : $this->next($s['now']);
        if ($idle !== null) {
            $rest = $this->from([...$s, 'now' => $idle, 'idle' => true, 'water' => -1], $left);
            if ($rest === null) {
                return null;
            }
            $best = $best === null || $rest < $best ? $rest : $best;
        }

        return $this->known[$key] = $best ?? [0, 0];
    }

    /**
     * @param  array{done: list<bool>, now: int, gun: array<int, int>, cup: array<int, int>, free: list<int>, water: int, idle: bool}  $s
     * @return array{array{done: list<bool>, now: int, gun: array<int, int>, cup: array<int, int>, free: list<int>, water: int, idle: bool}, int} what comes of a task, and the minutes at the guns before it
     */
    private function after(array $s, int $i): array
    {
        $task = $this->tasks[$i];
        $paint = $task['paint'];
        $cost = 0;
        do {
            $begin = $this->begin($s, $i);
            $rinsing = 0;
            foreach ($s['gun'] as $p => $last) {
                if (($p === $paint ? $begin : $begin + $task['minutes']) - $last > 30) {
                    unset($s['gun'][$p]);
                    $rinsing += 5;
                }
            }
            if ($paint >= 0 && ! isset($s['gun'][$paint]) && $s['gun'] !== [] && count($s['gun']) >= $this->guns) {
                asort($s['gun']);
                unset($s['gun'][array_key_first($s['gun'])]);
                $rinsing += 5;
            }
            $s['now'] += $rinsing;
            $cost += $rinsing;
        } while ($rinsing > 0);
        if ($paint >= 0 && $this->mixes($s, $paint, $begin)) {
            $begin += 5;
            $cost += 5;
            $s['cup'][$paint] = $begin;
        }
        $end = $begin + $task['minutes'] - ($begin === $s['water'] ? $task['water'] : 0);
        $s['now'] = $end;
        $s['done'][$i] = true;
        $s['idle'] = false;
        $s['water'] = $task['water'] > 0 ? $end : -1;
        if ($paint >= 0) {
            $s['gun'][$paint] = $end;
        }
        foreach ($task['arcs'] as [$to, $minutes]) {
            $s['free'][$to] = max($s['free'][$to], $end + $minutes);
        }

        return [$s, $cost];
    }

    /** @param  array{done: list<bool>, now: int, gun: array<int, int>, cup: array<int, int>, free: list<int>, water: int, idle: bool}  $s */
    private function begin(array $s, int $i): int
    {
        $task = $this->tasks[$i];
        $paint = $task['paint'];
        $mix = $paint >= 0 && $this->mixes($s, $paint, $s['now']) ? 5 : 0;
        $begin = max($s['now'], $s['free'][$i] - $mix);
        foreach (isset($this->cabinet[$i]) ? $this->cabinet : [] as $in => $for) {
            $begin = $s['done'][$in] && ! $s['done'][$for] ? max($begin, $s['free'][$for]) : $begin;
        }
        $kept = 5 * (count($s['gun']) + ($paint >= 0 && ! isset($s['gun'][$paint]) ? 1 : 0));
        foreach ($this->sessions as [$from, $until]) {
            $begin = max($begin, $from);
            $mix = $paint >= 0 && $this->mixes($s, $paint, $begin) ? 5 : 0;
            $takes = $task['minutes'] - ($begin === $s['water'] ? $task['water'] : 0);
            if ($until > $begin && $begin + $mix + $this->sits($s, $i, $begin + $mix, $takes) + $kept <= $until) {
                return $begin;
            }
        }

        return $begin;
    }

    /** @param  array{done: list<bool>, now: int, gun: array<int, int>, cup: array<int, int>, free: list<int>, water: int, idle: bool}  $s */
    private function mixes(array $s, int $paint, int $at): bool
    {
        $inGun = isset($s['gun'][$paint]) && $at - $s['gun'][$paint] < 30;

        return ! $inGun && (! isset($s['cup'][$paint]) || $at - $s['cup'][$paint] > 240);
    }

    /**
     * Minutes a session has to have: a sitting whole, and what is left of others that are begun.
     *
     * @param  array{done: list<bool>, now: int, gun: array<int, int>, cup: array<int, int>, free: list<int>, water: int, idle: bool}  $s
     */
    private function sits(array $s, int $i, int $at, int $takes): int
    {
        $begun = static fn (int $sitting, array $tasks): bool => array_filter(array_keys($tasks), static fn (int $j): bool => $tasks[$j]['sitting'] === $sitting && $s['done'][$j]) !== [];
        $mine = $this->tasks[$i]['sitting'];
        if ($mine >= 0 && $begun($mine, $this->tasks)) {
            return $takes;
        }
        if ($mine >= 0) {
            $t = $at;
            $free = [];
            foreach ($this->tasks as $j => $task) {
                if ($task['sitting'] === $mine) {
                    $t = max($t, $free[$j] ?? 0) + $task['minutes'];
                    foreach ($task['arcs'] as [$to, $minutes]) {
                        $free[$to] = max($free[$to] ?? 0, $t + $minutes);
                    }
                }
            }
            $takes = $t - $at <= $this->longest ? max($takes, $t - $at) : $takes;
        }
        $rest = 0;
        foreach ($this->tasks as $j => $task) {
            $rest += $task['sitting'] >= 0 && ! $s['done'][$j] && $begun($task['sitting'], $this->tasks) ? $task['minutes'] : 0;
        }

        return $takes + $rest <= $this->longest ? $takes + $rest : $takes;
    }

    /** When the next session begins. */
    private function next(int $now): ?int
    {
        foreach ($this->sessions as [$from]) {
            if ($from > $now) {
                return $from;
            }
        }

        return null;
    }

    /** Minutes of sessions up to a moment. */
    private function worked(int $until): int
    {
        $minutes = 0;
        foreach ($this->sessions as [$from, $to]) {
            $minutes += max(0, min($to, $until) - $from);
        }

        return $minutes;
    }

    /** @param  array{done: list<bool>, now: int, gun: array<int, int>, cup: array<int, int>, free: list<int>, water: int, idle: bool}  $s */
    private function key(array $s): string
    {
        ksort($s['gun']);
        $guns = $cups = $free = '';
        foreach ($s['gun'] as $p => $last) {
            $guns .= "{$p}:{$last},";
        }
        foreach ($s['cup'] as $p => $mixed) {
            $cups .= $s['now'] - $mixed > 240 ? '' : "{$p}:{$mixed},";
        }
        foreach ($s['free'] as $i => $until) {
            $free .= $s['done'][$i] || $until <= $s['now'] ? '' : "{$i}:{$until},";
        }

        return implode('', array_map(intval(...), $s['done']))."|{$s['now']}|{$guns}|{$cups}|{$free}|".($s['water'] === $s['now'] ? 1 : 0).($s['idle'] ? 1 : 0);
    }
}
