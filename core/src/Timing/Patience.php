<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** For what the hands rather wait than begin something else: a coat before its gun dries, and one beside a mask that may not stay for long. */
final class Patience
{
    /** Seconds for which hands rather wait for the next coat beside a soft mask than begin what takes longer. */
    private const SOON = 900;

    /** @var array{int, int, int} when it was last looked for the next coat beside a soft mask, after how many tasks, and when that is */
    private array $next = [0, 0, PHP_INT_MAX];

    public function __construct(private readonly Tasks $tasks, private readonly Hands $hands, private readonly Calendar $calendar, private readonly int $guns)
    {
    }

    /** Whether a task is done before the next coat beside a soft mask is due; or is part of that sitting itself. */
    public function lets(int $i, int $at): bool
    {
        $next = $this->nextBesideSoftMask($at);

        return $at + $this->tasks->seconds[$i] <= $next || in_array($i, $this->hands->sitting->hurried(), true);
    }

    /**
     * What needs no gun and may be begun: nothing so long that a gun dries for it that is sprayed out of again in this
     * sitting, and a soft mask once a gun is to be had for what is sprayed beside it.
     *
     * @param  array<int, int>  $tasks
     * @return array<int, int>
     */
    public function byHand(array $tasks, int $at): array
    {
        $due = $this->due($at);

        return array_filter($tasks, fn (int $i): bool => ! $this->dries($due, $i, $at) && $this->isGunFreeFor($i, $at));
    }

    /** @return array<int, true> paints in the guns of which the next coat of a sitting comes before they dry */
    private function due(int $at): array
    {
        $due = [];
        foreach ($this->hands->guns->loaded === [] ? [] : $this->hands->sitting->left as $i => $_) {
            $last = $this->hands->guns->loaded[$this->tasks->paint[$i]] ?? null;
            if ($last !== null && $last + InGuns::STAYS > $at && $this->hands->held->letsFrom($i, $at) <= $last + InGuns::STAYS) {
                $due[$this->tasks->paint[$i]] = true;
            }
        }

        return $due;
    }

    /** When the next coat beside a soft mask may be sprayed, where that is soon: nothing longer is begun before it. */
    private function nextBesideSoftMask(int $at): int
    {
        $many = count($this->hands->end);
        if ($this->next[0] === $at && $this->next[1] === $many) {
            return $this->next[2];
        }
        $next = PHP_INT_MAX;
        foreach ($this->hands->sitting->hurried() as $i) {
            $lets = $this->tasks->paint[$i] >= 0 && $this->hands->held->open[$i] === 0 ? $this->hands->held->letsFrom($i, $at) : $at;
            $next = $lets > $at && $lets - $at < self::SOON ? min($next, $lets) : $next;
        }
        $this->next = [$at, $many, $next];

        return $next;
    }

    /**
     * Whether one of these dries in its gun while a task is done, with what is cleaned before that.
     *
     * @param  array<int, true>  $due  paints
     */
    private function dries(array $due, int $i, int $at): bool
    {
        $end = $at + $this->tasks->seconds[$i];
        if ($due === []) {
            return false;
        }
        foreach (array_diff_key($this->hands->guns->loaded, $due) as $paint => $last) {
            $end += $end - $last > InGuns::STAYS ? $this->tasks->paints[$paint]->clean : 0;
        }

        return $end - min([$end, ...array_intersect_key($this->hands->guns->loaded, $due)]) > InGuns::STAYS;
    }

    /**
     * Whether what is sprayed in a sitting that begins with a task, and may not stay for long, has a gun in this session
     * beside what goes on in others; and hands: two such sittings at a time keep neither to its hours.
     */
    private function isGunFreeFor(int $i, int $at): bool
    {
        $wanted = $this->hands->sitting->paintsBegunWith($i);
        foreach ($wanted === [] ? [] : $this->hands->sitting->hurried() as $other) {
            if ($this->hands->held->open[$other] === 0 && $this->hands->held->letsFrom($other, $at) < $this->calendar->endsAt($at)) {
                return false;
            }
        }
        $busy = [];
        foreach ($wanted === [] ? [] : $this->hands->sitting->left as $other => $_) {
            $paint = $this->tasks->paint[$other];
            if ($paint >= 0 && $this->tasks->paints[$paint]->gun && $this->hands->held->open[$other] === 0 && $this->hands->held->letsFrom($other, $at) < $this->calendar->endsAt($at)) {
                $busy[$paint] = true;
            }
        }

        return array_diff_key($wanted, $busy) === [] || count($busy) < $this->guns;
    }
}
