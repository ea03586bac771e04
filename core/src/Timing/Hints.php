<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** What a search found out: in which order the hands do best to take what there is, and what they do best to put off. */
final readonly class Hints
{
    /**
     * @param  list<string>  $order  keys of tasks, what goes first before
     * @param  array<string, string>  $putOffs  key of the task another is put off for, by its own key
     * @param  Loading  $loading  when a paint is put into a gun
     */
    public function __construct(public array $order = [], public array $putOffs = [], public Loading $loading = Loading::AsItComes)
    {
    }

    /**
     * Ranks of tasks: by the hints, and what they do not know in the plan's order, each with what comes before it there.
     *
     * @return list<int> all different, the lowest goes first
     */
    public function ranks(Tasks $tasks): array
    {
        if ($this->order === []) {
            return array_keys($tasks->keys);
        }
        $known = array_flip($this->order);
        $weights = [];
        $last = -1;
        foreach ($tasks->keys as $i => $key) {
            $weights[$i] = [$last = $known[$key] ?? $last, $i];
        }
        asort($weights);
        $rank = array_flip(array_keys($weights));
        ksort($rank);

        return array_values($rank);
    }

    /**
     * @param  array<string, int>  $places  number of each task, by key
     * @return array<int, int> the task another is put off for, by task: those that are left, both of them
     */
    public function putOffs(array $places): array
    {
        $putOffs = [];
        foreach ($this->putOffs as $key => $for) {
            if (isset($places[$key], $places[$for])) {
                $putOffs[$places[$key]] = $places[$for];
            }
        }

        return $putOffs;
    }
}
