<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Material\DriesBy;

/**
 * What is timed, of one build or of several, as plain arrays by a task's number: no rule is asked any more, every wait
 * is an arc. A task stands for one step; its number is its place, builds one after the other in the user's order.
 *
 * An arc names the task that waits; minutes of work; what works it off (a number of DRIES); seconds from the end of the
 * first until it begins to hold; seconds until a chance closes, null where none does.
 *
 * @phpstan-type Arc array{int, float, int, int, int|null}
 */
final class Tasks
{
    /** What works a wait off, by number. */
    private const DRIES = [DriesBy::Itself, DriesBy::Solvent, DriesBy::Water];

    /** How the name of a gate ends that is shut for all builds. */
    public const AIR = ' the air';

    /** @var list<string> build and key of the step, with a blank between */
    public array $keys = [];

    /** @var list<int> hands-on, seconds in whole minutes */
    public array $seconds = [];

    /** @var list<int> paint that goes through a gun or comes out of a can, by its number in; -1: none */
    public array $paint = [];

    /** @var list<bool> sprayed, and a gloss: the air has to be drier */
    public array $gloss = [];

    /** @var list<int> seconds of a washing that are saved where the water is there already; 0 for all else */
    public array $water = [];

    /** @var list<int|null> the moment the user fixed; null: none */
    public array $fixed = [];

    /** @var list<int> sitting it belongs to; -1: none */
    public array $sitting = [];

    /** @var array<int, array{int, int}> of what takes a mask off that may stay a day or less: the task that lays it, and the seconds it may stay */
    public array $stays = [];

    /** @var array<int, int> of what takes off one that is on already: until when it may stay */
    public array $laid = [];

    /** @var array<int, array{int, int}> of what takes any mask off: the task that lays it, and the seconds it may stay; of one that is on already -1, and until when */
    public array $comesOff = [];

    /** @var list<int> sittings of which something is done already */
    public array $begun = [];

    /** @var list<int> how many tasks come before it */
    public array $open = [];

    /** @var array<int, list<int>> tasks that wait for it to be done */
    public array $unlocks = [];

    /** @var array<int, array<int, Arc>> waits that begin as it ends */
    public array $arcs = [];

    /** @var array<int, list<array{string, float, int}>> gates a task shuts as it ends: minutes of work until each is open again, and what works it off */
    public array $shuts = [];

    /** @var array<int, list<string>> gates a task has to pass */
    public array $passes = [];

    /** @var array<int, list<string>> of these, those of the air of the room other builds shut too */
    public array $air = [];

    /** @var array<int, list<array{int, int}>> from when until when what is on the model already forbids it */
    public array $shut = [];

    /** @var array<int, list<int>> when a chance of it closes that is open already */
    public array $closes = [];

    /** @var array<int, array{array<string, int>, array<int, string>}> what begins together: how much is left to make each piece ready, by piece; the piece of each task that begins */
    public array $groups = [];

    /** @var array<int, list<array{int, string}>> group and piece it makes ready by one */
    public array $readies = [];

    /** @var array<int, Paint> */
    public array $paints = [];

    /** @var list<array{int, int}> paints that were sprayed before, and when */
    public array $loaded = [];

    /** @var array<int, int> of what puts a piece into the cabinet: the task it dries there for */
    public array $cabinet = [];

    /** @var array<int, array{float, list<int>}> of what puts a piece into a warm place: how warm it is, °C, and the tasks that take it out, whichever comes first */
    public array $warms = [];

    /** @var list<int> tasks for which something is in it to begin with */
    public array $inside = [];

    /** @var list<string> */
    private array $builds = [];

    /** When hands were last at work on it. */
    public int $last = 0;

    /** Whether that was a washing: its water is there for the next. */
    public bool $washed = false;

    /** @var array<string, int> when a gun was last cleaned of a paint, by its id; of whatever was in it, under none */
    public array $cleaned = [];

    /** @return list<string> the build of each, by its id */
    public function builds(): array
    {
        if (count($this->builds) !== count($this->keys)) {
            $this->builds = array_map(static fn (string $key): string => (string) strstr($key, ' ', true), $this->keys);
        }

        return $this->builds;
    }

    public static function dries(int $by): DriesBy
    {
        return self::DRIES[$by] ?? DriesBy::Itself;
    }

    public function count(): int
    {
        return count($this->keys);
    }

    /** Seconds by which mixing may begin before a spraying is free. */
    public function lead(int $i): int
    {
        return $this->paint[$i] >= 0 ? InGuns::MIXING : 0;
    }

    /**
     * What is in so many guns at a moment: what was sprayed last, of whichever build, and not cleaned out of one since.
     *
     * @return array<int, int> when each paint was last sprayed, by its number
     */
    public function inTheGuns(int $now, int $guns): array
    {
        $in = [];
        foreach ($this->loaded as [$paint, $at]) {
            $cleaned = max($this->cleaned[$this->paints[$paint]->id] ?? 0, $this->cleaned[''] ?? 0);
            if ($now - $at < InGuns::CLEANED_UNSAID && $at > $cleaned) {
                $in[$paint] = max($in[$paint] ?? 0, $at);
            }
        }
        arsort($in);

        return array_slice($in, 0, $guns, true);
    }

    /** The first so many tasks: what comes before one of them and is not among them is taken to be done. */
    public function first(int $many): self
    {
        if ($many >= $this->count()) {
            return $this;
        }
        $first = clone $this;
        $open = $this->open;
        for ($i = $many, $all = $this->count(); $i < $all; $i++) {
            $next = $this->unlocks[$i];
            foreach ($this->readies[$i] as [$group, $piece]) {
                array_push($next, ...Groups::isReady($first->groups[$group], $piece));
            }
            foreach ($next as $one) {
                $open[$one]--;
            }
        }
        $first->open = array_values($open);
        foreach ([&$first->keys, &$first->seconds, &$first->paint, &$first->gloss, &$first->water, &$first->fixed, &$first->sitting, &$first->open] as &$list) {
            $list = array_slice($list, 0, $many);
        }
        foreach ([&$first->shut, &$first->closes, &$first->shuts, &$first->passes, &$first->air, &$first->readies] as &$list) {
            $list = array_slice($list, 0, $many, true);
        }
        $first->unlocks = array_map(static fn (array $next): array => array_values(array_filter($next, static fn (int $i): bool => $i < $many)), array_slice($this->unlocks, 0, $many, true));
        $first->arcs = array_map(static fn (array $arcs): array => array_filter($arcs, static fn (array $arc): bool => $arc[0] < $many), array_slice($this->arcs, 0, $many, true));
        $first->groups = array_map(static fn (array $group): array => [$group[0], array_filter($group[1], static fn (int $i): bool => $i < $many, ARRAY_FILTER_USE_KEY)], $first->groups);

        $first->cabinet = array_filter($this->cabinet, static fn (int $for, int $in): bool => max($for, $in) < $many, ARRAY_FILTER_USE_BOTH);
        $first->warms = array_map(static fn (array $warm): array => [$warm[0], array_values(array_filter($warm[1], static fn (int $i): bool => $i < $many))], array_filter($this->warms, static fn (int $in): bool => $in < $many, ARRAY_FILTER_USE_KEY));
        $first->stays = array_filter($this->stays, static fn (array $stay, int $off): bool => max($stay[0], $off) < $many, ARRAY_FILTER_USE_BOTH);
        $first->comesOff = array_filter($this->comesOff, static fn (array $stay, int $off): bool => max($stay[0], $off) < $many, ARRAY_FILTER_USE_BOTH);
        $first->laid = array_filter($this->laid, static fn (int $off): bool => $off < $many, ARRAY_FILTER_USE_KEY);
        $first->inside = array_values(array_filter($this->inside, static fn (int $for): bool => $for < $many));

        return $first;
    }
}
