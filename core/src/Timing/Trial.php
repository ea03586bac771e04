<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** One try of a search: what was decided, and what came of it. */
final readonly class Trial
{
    /**
     * @param  array<int, int>  $rank
     * @param  array<int, int>  $putOff
     */
    public function __construct(public array $rank, public array $putOff, public Loading $loading, public Timed $timed, public Score $score)
    {
    }

    /**
     * Paints that are put into a gun more than once, and what is sprayed from each loading.
     *
     * @return array<int, list<non-empty-list<int>>> by paint
     */
    public function loads(Tasks $tasks): array
    {
        $loads = $open = $last = [];
        $gun = $this->timed->gun;
        $at = 0;
        foreach ($this->timed->order as $i) {
            for (; isset($gun[$at]) && $gun[$at][2] <= $this->timed->start[$i]; $at++) {
                if ($gun[$at][0]) {
                    unset($open[$gun[$at][1]]);
                }
            }
            $paint = $tasks->paint[$i];
            if ($paint >= 0 && $tasks->paints[$paint]->gun) {
                $last[$paint] = ($last[$paint] ?? -1) + (isset($open[$paint]) ? 0 : 1);
                $open[$paint] = true;
                $loads[$paint][$last[$paint]][] = $i;
            }
        }

        return array_map(array_values(...), array_filter($loads, static fn (array $of): bool => count($of) > 1));
    }

    public function hints(Tasks $tasks): Hints
    {
        $putOffs = [];
        foreach ($this->putOff as $task => $for) {
            $putOffs[$tasks->keys[$task]] = $tasks->keys[$for];
        }

        return new Hints(array_map(static fn (int $i): string => $tasks->keys[$i], $this->timed->order), $putOffs, $this->loading);
    }
}
