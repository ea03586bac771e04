<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/**
 * How little has to be put off for the hands to keep to an order. Where nothing is lost by it the order gives way to what
 * they would do by themselves, who rather go on with what they have begun; only what would cost something is put off, and
 * nothing of a sitting that is begun beside what may not stay for long.
 */
final readonly class Keeping
{
    /** By how much the ends of all builds may come later in all, by share, for the order to give way. */
    private const GIVES = 1.01;

    /** @var array<int, int> sitting of each task of those in which something is laid that may not stay for long */
    private array $hurried;

    /** @param  Calm|null  $watch  what has to stay in its session for the order to give way */
    public function __construct(private Tasks $tasks, private Ways $ways, private Replay $replay, private ?Calm $watch = null)
    {
        $hurried = array_fill_keys(array_map(static fn (int $off): int => $tasks->sitting[$off], array_keys($tasks->stays + $tasks->laid)), true);
        $this->hurried = array_filter($tasks->sitting, static fn (int $sitting): bool => $sitting >= 0 && isset($hurried[$sitting]));
    }

    /**
     * @param  list<int>  $order  of all tasks, each after all it waits for
     * @param  callable(): bool  $goesOn
     * @return Trial|null null where it was told to stop, or the hands cannot keep to it
     */
    public function to(array $order, callable $goesOn): ?Trial
    {
        $putOff = $gaveWay = [];
        $kept = $this->trial($order);
        if ($kept === null) {
            return null;
        }
        $latest = (int) (self::GIVES * $kept->score->finishes);
        for ($runs = 2 * count($order); $runs > 0 && $goesOn(); $runs--) {
            $trial = $this->ways->of(array_flip($order), $putOff, Loading::AsItComes);
            $before = [$order, $putOff];
            foreach ($trial === null ? [] : $this->differing($trial->timed->order, $order) as $at => [$task, $hurries]) {
                $other = $order;
                $place = (int) array_search($task, $order, true);
                array_splice($other, $place, 1);
                array_splice($other, $at, 0, [$task]);
                $its = $this->trial($other);
                // Once is enough: two that give way to each other never end.
                $gives = ! isset($gaveWay[$task]);
                if ($hurries && ! $gives) {
                    return null;
                }
                $gaveWay[$task] = true;
                if (! $hurries && (! $gives || $its === null || $its->score->late > $kept->score->late || $its->score->gun > $kept->score->gun || $its->score->finishes > $latest || $this->watch?->moves($its) === true)) {
                    $putOff[$task] = $order[$place - 1];
                    break;
                }
                // The hands go on as they did, as far as the order gives way.
                [$order, $kept] = [$other, $its ?? $kept];
                $this->replay->keep($order);
            }
            if ([$order, $putOff] === $before) {
                return $trial;
            }
        }

        return null;
    }

    /**
     * What is taken otherwise than ordered, as long as the order is made to give way to it.
     *
     * @param  list<int>  $taken
     * @param  list<int>  $order
     * @return iterable<int, array{int, bool}> by place: the task, and whether it goes on with a sitting beside what may not stay for long
     */
    private function differing(array $taken, array &$order): iterable
    {
        $begun = [];
        foreach ($taken as $at => $task) {
            $sitting = $this->hurried[$task] ?? -1;
            if ($task !== $order[$at]) {
                yield $at => [$task, isset($begun[$sitting])];
            }
            if ($sitting >= 0) {
                $begun[$sitting] = true;
            }
        }
    }

    /** @param  list<int>  $order */
    private function trial(array $order): ?Trial
    {
        $timed = $this->replay->timed($order);

        return $timed === null ? null : $this->ways->asOrdered($timed);
    }
}
