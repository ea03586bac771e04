<?php

declare(strict_types=1);

namespace App\Build;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Kit;
use App\Clock\BenchClock;
use App\Models\Build;
use App\Models\Change;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Changes a build's kit, each change with its inverse, in an append-only row. */
final readonly class Changer
{
    public function __construct(private BenchClock $clock)
    {
    }

    /**
     * @param  list<Edit>  $edits
     *
     * Throws BadDocument when the edits cannot be carried out
     *
     * @throws Conflict when the build was changed meanwhile
     */
    public function apply(string $buildId, int $revision, string $title, array $edits): Applied
    {
        return DB::transaction(function () use ($buildId, $revision, $title, $edits): Applied {
            $build = $this->at($buildId, $revision);
            [$kit, $inverse] = Kit::fromArray($build->kit)->applyWithInverse($edits);

            return $this->store($build, $kit, $title, $edits, $inverse, null);
        });
    }

    /**
     * Takes one change back by appending its inverse.
     *
     * Throws BadDocument when a later change touched the same field
     *
     * @throws Conflict when the build was changed meanwhile
     */
    public function undo(string $buildId, int $revision, string $changeId): Applied
    {
        return DB::transaction(function () use ($buildId, $revision, $changeId): Applied {
            $build = $this->at($buildId, $revision);
            $change = Change::query()->where('build_id', $buildId)->find($changeId);
            if ($change === null) {
                throw BadDocument::at('change', 'is not one of this build', 'load the build again');
            }
            $this->refuseIfTouchedLater($change);
            if (Replacement::isIn($change->inverse)) {
                return $this->putBack($build, $change);
            }
            $inverse = Edit::listFrom($change->inverse);
            [$kit, $redo] = Kit::fromArray($build->kit)->applyWithInverse($inverse);

            return $this->store($build, $kit, 'Take back: '.$change->title, $inverse, $redo, $change->id);
        });
    }

    /** The last change that was not taken back. */
    public function undoable(string $buildId): ?Applied
    {
        $undone = [];
        /** @var list<Change> $changes */
        $changes = Change::query()->where('build_id', $buildId)->orderByDesc('revision')->limit(200)->get()->all();
        foreach ($changes as $change) {
            if ($change->undoes !== null) {
                $undone[$change->undoes] = true;
            } elseif (! isset($undone[$change->id])) {
                return Applied::of($change);
            }
        }

        return null;
    }

    /** The build as it was before a file came over it; what came, and was done to it since, is kept for taking that back. */
    private function putBack(Build $build, Change $change): Applied
    {
        $is = Replacement::of($build);
        Replacement::put($build, $change->inverse);
        $build->update(['revision' => $build->revision + 1]);

        return $this->write($build, 'Take back: '.$change->title, [], $is, $change->id);
    }

    private function at(string $buildId, int $revision): Build
    {
        $build = Build::query()->find($buildId) ?? throw BadDocument::at('build', 'is not here', 'it may have been removed meanwhile');
        if ($build->revision !== $revision) {
            /** @var list<Change> $since */
            $since = Change::query()->where('build_id', $buildId)->where('revision', '>', $revision)->orderBy('revision')->get()->all();
            throw new Conflict('The build was changed meanwhile.', ['revision' => $build->revision, 'changes' => array_map(static fn (Change $c): string => $c->title, $since)]);
        }

        return $build;
    }

    /**
     * @param  list<Edit>  $edits
     * @param  list<Edit>  $inverse
     */
    private function store(Build $build, Kit $kit, string $title, array $edits, array $inverse, ?string $undoes): Applied
    {
        $all = static fn (array $list): array => array_values(array_map(static fn (Edit $e): array => $e->toArray(), $list));
        $build->update(['kit' => $kit->toArray(), 'name' => $kit->name, 'revision' => $build->revision + 1]);

        return $this->write($build, $title, $all($edits), $all($inverse), $undoes);
    }

    /**
     * @param  list<array<string, mixed>>  $edits
     * @param  list<array<string, mixed>>  $inverse
     */
    private function write(Build $build, string $title, array $edits, array $inverse, ?string $undoes): Applied
    {
        return Applied::of(Change::query()->create(['id' => strtoupper((string) Str::ulid()), 'scope' => Change::BUILD, 'build_id' => $build->id, 'revision' => $build->revision, 'title' => mb_substr($title, 0, 200), 'edits' => $edits, 'inverse' => $inverse, 'undoes' => $undoes, 'at' => $this->clock->epoch()]));
    }

    private function refuseIfTouchedLater(Change $change): void
    {
        $marks = self::marks($change);
        $undone = [];
        /** @var list<Change> $after */
        $after = Change::query()->where('build_id', $change->build_id)->where('revision', '>', $change->revision)->orderByDesc('revision')->get()->all();
        foreach ($after as $later) {
            if ($later->undoes !== null) {
                $undone[$later->undoes] = true;
                if ($later->undoes === $change->id) {
                    throw BadDocument::at('change', 'was taken back already', 'load the build again');
                }

                continue;
            }
            // What came over the whole build touched everything.
            $over = Replacement::isIn($later->inverse) || Replacement::isIn($change->inverse);
            $both = $over ? [$later->title] : array_intersect($marks, self::marks($later));
            if ($both !== [] && ! isset($undone[$later->id])) {
                throw BadDocument::at('change', "cannot be taken back: \"{$later->title}\" changed the same thing later", 'take that back first');
            }
        }
    }

    /** @return list<string> */
    private static function marks(Change $change): array
    {
        return $change->edits === [] ? [] : array_values(array_map(static fn (Edit $e): string => $e->mark(), Edit::listFrom($change->edits)));
    }
}
