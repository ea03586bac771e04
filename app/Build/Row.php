<?php

declare(strict_types=1);

namespace App\Build;

use AmberStep\Core\Document\BadDocument;
use App\Clock\BenchClock;
use App\Models\Build;
use App\Models\Event;
use App\Repositories\FieldEdit;
use App\Repositories\Ledger;
use App\Repositories\Settings;
use Illuminate\Support\Facades\DB;

/** The builds in their row: their order, which are put away, which lie in the bin. */
final readonly class Row
{
    /** Seconds a build lies in the bin before it is gone. */
    public const IN_THE_BIN = 30 * 86400;

    public function __construct(private Ledger $ledger, private BenchClock $clock, private Settings $settings)
    {
    }

    /** @return list<array{id: string, name: string, revision: int, away: bool, events: int, goneEpoch: int|null}> all there are, in the user's order; when those in the bin will be gone */
    public function all(): array
    {
        $events = Event::query()->selectRaw('build_id, count(*) as n')->groupBy('build_id')->pluck('n', 'build_id')->all();
        /** @var list<Build> $builds */
        $builds = Build::query()->orderBy('position')->orderBy('id')->get()->all();

        return array_map(static fn (Build $b): array => [
            'id' => $b->id, 'name' => $b->name, 'revision' => $b->revision, 'away' => $b->away, 'events' => is_numeric($events[$b->id] ?? null) ? (int) $events[$b->id] : 0,
            'goneEpoch' => $b->binned === null ? null : $b->binned + self::IN_THE_BIN,
        ], $builds);
    }

    /** How many are put away: they have no tab, and are not forgotten. */
    public function away(): int
    {
        return Build::query()->whereNull('binned')->where('away', true)->count();
    }

    /** @return list<string> ids of those: they take no time, and their holds run on */
    public function putAside(): array
    {
        return array_values(array_filter(Build::query()->whereNull('binned')->where('away', true)->orderBy('position')->pluck('id')->all(), is_string(...)));
    }

    /**
     * @param  array<string, string>  $wrong  what is wrong with each, by id
     * @return list<array{id: string, name: string, wrong: string}>
     */
    public function named(array $wrong): array
    {
        $names = $wrong === [] ? [] : Build::query()->whereIn('id', array_keys($wrong))->pluck('name', 'id')->all();

        return array_map(static fn (string $id, string $what): array => ['id' => $id, 'name' => is_string($names[$id] ?? null) ? $names[$id] : '', 'wrong' => $what], array_keys($wrong), array_values($wrong));
    }

    /** @throws BadDocument where it is not here */
    public function putAway(string $id, bool $away): Applied
    {
        return $this->set($id, 'away', $away, $away ? 'put away' : 'taken back in hand');
    }

    /** @throws BadDocument where it is not here */
    public function toBin(string $id): Applied
    {
        return $this->set($id, 'binned', $this->clock->epoch(), 'into the bin');
    }

    /** @throws BadDocument where it is not here */
    public function outOfBin(string $id): Applied
    {
        return $this->set($id, 'binned', null, 'out of the bin');
    }

    /**
     * @param  list<string>  $ids  all that are neither put away nor in the bin, in their new order
     *
     * Throws BadDocument where one is missing, or not here
     */
    public function order(array $ids): ?Applied
    {
        return DB::transaction(function () use ($ids): ?Applied {
            /** @var array<string, int> $positions */
            $positions = Build::query()->whereNull('binned')->where('away', false)->orderBy('position')->orderBy('id')->pluck('position', 'id')->all();
            $missing = array_diff(array_keys($positions), $ids);
            if ($missing !== [] || count($ids) !== count($positions)) {
                throw BadDocument::at('order', $missing === [] ? 'names a build twice, or one that is not in hand' : 'leaves out a build', 'name each build in hand once');
            }
            $places = array_values($positions);
            sort($places);
            // Two may have had one place: then all get places of their own.
            $places = count(array_unique($places)) === count($places) ? $places : range(1, count($places));
            $edits = $inverse = [];
            foreach ($ids as $i => $id) {
                if ($positions[$id] !== $places[$i]) {
                    $edits[] = new FieldEdit($id, 'position', $places[$i]);
                    $inverse[] = new FieldEdit($id, 'position', $positions[$id]);
                }
            }
            if ($edits === []) {
                return null;
            }
            self::apply($edits);

            return Applied::of($this->ledger->write(Ledger::BUILDS, 'Builds in another order', $edits, $inverse));
        });
    }

    /** Throws BadDocument where something later changed the same. */
    public function undo(string $changeId): Applied
    {
        return Applied::of($this->ledger->takeBack($changeId, static function (FieldEdit $edit): void {
            self::apply([$edit]);
        }));
    }

    /** What has lain in the bin for thirty days is gone; a copy of the bench may hold it still. */
    public function emptyBin(): int
    {
        return DB::transaction(function (): int {
            $gone = Build::query()->where('binned', '<', $this->clock->epoch() - self::IN_THE_BIN)->get()->all();
            foreach ($gone as $build) {
                $build->delete();
            }
            if ($gone !== []) {
                $this->settings->renew();
            }

            return count($gone);
        });
    }

    private function set(string $id, string $field, bool|int|null $value, string $words): Applied
    {
        return DB::transaction(function () use ($id, $field, $value, $words): Applied {
            $build = Build::query()->find($id) ?? throw BadDocument::at('build', 'is not here', 'load the page again');
            $was = $field === 'away' ? $build->away : $build->binned;
            $build->update([$field => $value]);

            return Applied::of($this->ledger->write(Ledger::BUILDS, "{$build->name}, {$words}", [new FieldEdit($id, $field, $value)], [new FieldEdit($id, $field, $was)]));
        });
    }

    /** @param  list<FieldEdit>  $edits */
    private static function apply(array $edits): void
    {
        foreach ($edits as $edit) {
            $build = Build::query()->find($edit->id) ?? throw BadDocument::at('change', 'is about a build that is gone', 'a copy of the bench may hold it still');
            $build->update([$edit->field => $edit->value]);
        }
    }
}
