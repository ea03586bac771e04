<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Material\DriesBy;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Timing\Tasks;

/**
 * Turns what rules said of steps, while they were walked through, into arcs from the steps that begin it; what began
 * before now, or of itself, into stretches. What a later walk says of a pair takes the place of what an earlier one said.
 */
final class Arcs
{
    /** @var array<string, array{int, int}> walk in which an arc was told last, and its place among those of its task, by both tasks and what works it off */
    private array $told = [];

    private int $walk = 0;

    /** @param  array<string, int>  $places  number of each task, by key */
    public function __construct(private readonly Tasks $tasks, private readonly array $places, private readonly Gates $gates)
    {
    }

    public function walkAgain(): void
    {
        $this->walk++;
    }

    /** @param  list<Hold>  $holds  of a task */
    public function add(int $to, array $holds): void
    {
        $shut = $closes = [];
        foreach ($holds as $hold) {
            $began = $hold->began();
            $from = $began !== null && str_starts_with($began, 'plan:') ? $this->places[substr($began, 5)] ?? null : null;
            if ($this->gates->stands($hold)) {
                continue;
            }
            if ($from !== null && $from !== $to && $hold->wait !== null) {
                $this->arc($from, $to, $hold, $hold->wait->fromEpoch);
            } else {
                if ($hold->untilEpoch > $hold->fromEpoch) {
                    $shut[] = [$hold->fromEpoch, $hold->untilEpoch];
                }
                if ($hold->isChance()) {
                    $closes[] = $hold->fromEpoch;
                }
            }
        }
        $this->tasks->shut[$to] = $shut;
        $this->tasks->closes[$to] = $closes;
    }

    private function arc(int $from, int $to, Hold $hold, int $beginEpoch): void
    {
        $wait = $hold->wait;
        [$by, $work] = $wait !== null && $wait->by !== null && $hold->untilEpoch === $wait->untilEpoch
            ? [self::dries($wait->by), $wait->workMinutes()]
            : [0, ($hold->untilEpoch - $beginEpoch) / 60];
        $offset = max(0, $hold->fromEpoch - $beginEpoch);
        $closes = $hold->isChance() ? $offset : null;
        $key = "{$from}/{$to}/{$by}/{$offset}/{$closes}";
        [$walk, $place] = $this->told[$key] ?? [-1, count($this->tasks->arcs[$from])];
        if ($walk === $this->walk) {
            $work = max($work, $this->tasks->arcs[$from][$place][1]);
        }
        $this->tasks->arcs[$from][$place] = [$to, $work, $by, $offset, $closes];
        $this->told[$key] = [$this->walk, $place];
    }

    public static function dries(DriesBy $by): int
    {
        return match ($by) {
            DriesBy::Itself => 0,
            DriesBy::Water => 2,
            default => 1,
        };
    }
}
