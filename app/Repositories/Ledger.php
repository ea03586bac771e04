<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Document\BadDocument;
use App\Clock\BenchClock;
use App\Models\Change;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * What was changed that belongs to no build: the shelf, the house rules, the builds themselves. Each change stands with
 * its inverse: a list of edits, each of one field of one thing.
 */
final readonly class Ledger
{
    public const SHELF = 'shelf';

    public const HOUSE = 'house';

    public const BUILDS = 'builds';

    public const CALENDAR = 'calendar';

    public const GUNS = 'guns';

    public const WORKSHOP = 'workshop';

    public const SHOWS = 'shows';

    public function __construct(private BenchClock $clock)
    {
    }

    /**
     * Within the transaction that makes the change.
     *
     * @param  list<FieldEdit>  $edits
     * @param  list<FieldEdit>  $inverse
     */
    public function write(string $scope, string $title, array $edits, array $inverse, ?string $undoes = null): Change
    {
        return Change::query()->create(['id' => strtoupper((string) Str::ulid()), 'scope' => $scope, 'revision' => 1 + (int) Change::query()->where('scope', $scope)->max('revision'), 'title' => mb_substr($title, 0, 200), 'edits' => FieldEdit::toList($edits), 'inverse' => FieldEdit::toList($inverse), 'undoes' => $undoes, 'at' => $this->clock->epoch()]);
    }

    /**
     * Puts back what a change found, and writes that down, all or nothing.
     *
     * @param  callable(FieldEdit): void  $put  writes one of its edits
     *
     * Throws BadDocument where there is no such change, or something later changed the same
     */
    public function takeBack(string $changeId, callable $put): Change
    {
        return DB::transaction(function () use ($changeId, $put): Change {
            $change = $this->undoable($changeId);
            foreach (FieldEdit::listFrom($change->inverse) as $edit) {
                $put($edit);
            }

            return $this->write($change->scope, 'Take back: '.$change->title, FieldEdit::listFrom($change->inverse), FieldEdit::listFrom($change->edits), $change->id);
        });
    }

    /** @return array{id: string, title: string} a change as it is told where it was made */
    public static function told(Change $change): array
    {
        return ['id' => $change->id, 'title' => $change->title];
    }

    /** @throws BadDocument where there is none, or it was taken back, or something later changed the same */
    public function undoable(string $id): Change
    {
        $change = Change::query()->where('scope', '!=', Change::BUILD)->find($id) ?? throw BadDocument::at('change', 'is not here', 'load the page again');
        $marks = self::marks($change);
        $undone = [];
        /** @var list<Change> $after */
        $after = Change::query()->where('scope', $change->scope)->where('revision', '>', $change->revision)->orderByDesc('revision')->get()->all();
        foreach ($after as $later) {
            if ($later->undoes !== null) {
                $undone[$later->undoes] = true;
                if ($later->undoes === $change->id) {
                    throw BadDocument::at('change', 'was taken back already', 'load the page again');
                }
            } elseif (! isset($undone[$later->id]) && array_intersect($marks, self::marks($later)) !== []) {
                throw BadDocument::at('change', "cannot be taken back: \"{$later->title}\" changed the same thing later", 'take that back first');
            }
        }

        return $change;
    }

    /** @return list<array{id: string, scope: string, title: string, atEpoch: int, undone: bool}> the newest first; what took another back is not among them */
    public function recent(int $most): array
    {
        $undone = array_fill_keys(Change::query()->where('scope', '!=', Change::BUILD)->whereNotNull('undoes')->pluck('undoes')->all(), true);
        /** @var list<Change> $changes */
        $changes = Change::query()->where('scope', '!=', Change::BUILD)->whereNull('undoes')->orderByDesc('at')->orderByDesc('id')->limit($most)->get()->all();

        return array_map(static fn (Change $c): array => ['id' => $c->id, 'scope' => $c->scope, 'title' => $c->title, 'atEpoch' => $c->at, 'undone' => isset($undone[$c->id])], $changes);
    }

    /** @return list<string> */
    private static function marks(Change $change): array
    {
        return array_map(static fn (FieldEdit $e): string => $e->mark(), FieldEdit::listFrom($change->edits));
    }
}
