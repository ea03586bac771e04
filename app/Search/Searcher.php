<?php

declare(strict_types=1);

namespace App\Search;

use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Timetable;
use AmberStep\Core\Timing\Hints as Found;
use AmberStep\Core\Timing\Joined;
use AmberStep\Core\Timing\Orders;
use AmberStep\Core\Timing\OrderSearch;
use AmberStep\Core\Timing\Score;
use AmberStep\Core\Timing\Search;
use AmberStep\Core\Timing\Tasks;
use App\Answers\Marks;
use App\Answers\Neighbours;
use App\Answers\Problems;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Models\Hint;
use App\Repositories\Hints;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use App\Repositories\Workshop;
use App\Room\RoomSource;
use Illuminate\Support\Facades\DB;

/**
 * Looks for a better timetable of all builds, and keeps what it found if the state it was found for still holds and the
 * plan with every rule asked is better by it. Works on what it read, outside any transaction.
 */
final readonly class Searcher
{
    public function __construct(private Marks $marks, private Neighbours $neighbours, private Problems $problems, private Settings $settings, private ShelfRepository $shelf, private Workshop $workshop, private Hints $hints, private RoomSource $rooms, private BenchClock $clock)
    {
    }

    /** Of all a timetable rests on but the time of day: another, and there is something new to look for. */
    public function state(): string
    {
        return hash('xxh64', (string) json_encode($this->marks->ofBuilds()));
    }

    public function isSearched(string $state): bool
    {
        return $this->rounds($state)->done;
    }

    /** What takes seconds is found; what takes minutes may be looked for still. */
    public function areWaysFound(string $state): bool
    {
        return $this->rounds($state)->looksForOrders();
    }

    private function rounds(string $state): Rounds
    {
        /** @var Hint|null $row */
        $row = Hint::query()->find(Hint::ONLY);

        return Rounds::of($row, $state);
    }

    /**
     * One round of a search.
     *
     * @param  callable(): bool  $goesOn  false: the state has moved on
     * @return string|null what came of it, in words; null where it was given up
     */
    public function search(string $state, callable $goesOn): ?string
    {
        if ($this->state() !== $state) {
            return null;
        }
        $this->shelf->forget();
        $this->settings->forget();
        $marks = $this->marks->ofBuilds();
        $now = $this->clock->epoch();
        $tasks = array_map(static fn (array $one): Tasks => $one['neighbour']->tasks, $this->neighbours->of($marks, ''));
        if ($tasks === []) {
            return $this->keep($state, new Found, $now, Rounds::all()) ? 'there is no build in hand' : null;
        }
        $calendar = $this->settings->calendar(BenchZone::zone());
        $before = $this->hints->now();
        $rounds = $this->rounds($state);
        $bench = $this->workshop->bench();
        $joined = [Joined::of(array_values($tasks)), $calendar, new WorkClock($this->rooms->room($now)), $now, $bench, $rounds->seed()];
        $found = ($rounds->looksForOrders() ? new OrderSearch(...$joined) : new Search(...$joined))->run($before, $goesOn);
        if ($found === null) {
            return null;
        }
        $problems = [];
        foreach ($marks as $build => $mark) {
            $problem = isset($tasks[$build]) ? $this->problems->of($build, $mark)[1] ?? null : null;
            if ($problem !== null) {
                $problems[$build] = $problem;
            }
        }
        $full = static fn (Found $hints): Timetable => new Timetable($problems, Compiler::ofTheTrade()->rules, $calendar, $now, $bench, $hints);
        [$with, $without] = [$full($found), $full($before)];
        $score = static fn (Timetable $t): Score => Score::of($t->timed, $t->tasks, $calendar, $now, $bench->due);
        $better = $with->isBetterThan($without);
        if (! $this->keep($state, $better ? $found : $before, $now, $rounds->next($better, $score($without)->late > 0, $joined[0]->count() <= Orders::FEW))) {
            return null;
        }

        return $better ? sprintf('%d min at the guns that are not spraying, %d evenings', intdiv($score($with)->gun, 60), $score($with)->evenings) : 'nothing better';
    }

    private function keep(string $state, Found $found, int $now, Rounds $rounds): bool
    {
        return DB::transaction(function () use ($state, $found, $now, $rounds): bool {
            if ($this->state() !== $state) {
                return false;
            }
            /** @var Hint|null $row */
            $row = Hint::query()->find(Hint::ONLY);
            // Answers rest on when something was found: where nothing was, they stand.
            $at = $row !== null && serialize($found) === serialize($this->hints->now()) ? $row->at : max($now, ($row->at ?? 0) + 1);
            Hint::query()->updateOrCreate(['id' => Hint::ONLY], ['state' => $state, 'hints' => ['order' => $found->order, 'putOffs' => $found->putOffs, 'loading' => $found->loading->value, 'rounds' => $rounds->kept()], 'at' => $at]);

            return true;
        });
    }
}
