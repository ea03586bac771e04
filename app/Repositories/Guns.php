<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use App\Models\Change;
use App\Models\Gun;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * The guns the user has: each holds one paint at a time. Where none is written down, there is one.
 *
 * @phpstan-type GunRow array{id: string, name: string, nozzleMm: float, cupMl: float}
 */
final readonly class Guns
{
    private const MOST = 12;

    public function __construct(private Ledger $ledger)
    {
    }

    /** @return list<GunRow> in the user's order */
    public function all(): array
    {
        /** @var list<Gun> $guns */
        $guns = Gun::query()->orderBy('position')->orderBy('id')->get()->all();

        return array_map(static fn (Gun $g): array => ['id' => $g->id, 'name' => $g->name, 'nozzleMm' => $g->nozzle_mm, 'cupMl' => $g->cup_ml], $guns);
    }

    public function count(): int
    {
        return max(1, Gun::query()->count());
    }

    /**
     * @param  mixed  $sent  all of them, in their order; a new one without id
     * @return array{id: string, title: string}|null the change; null where it was so already
     *
     * @throws BadDocument where one is no gun
     */
    public function set(mixed $sent): ?array
    {
        $guns = self::read($sent);

        return DB::transaction(function () use ($guns): ?array {
            $was = $this->all();
            if ($was === $guns) {
                return null;
            }
            $this->put($guns);

            return Ledger::told($this->ledger->write(Ledger::GUNS, count($guns) === 1 ? 'Guns: one' : 'Guns: '.count($guns), [new FieldEdit('guns', '', $guns)], [new FieldEdit('guns', '', $was)]));
        });
    }

    /** Throws BadDocument where something later changed the same. */
    public function undo(string $changeId): Change
    {
        return $this->ledger->takeBack($changeId, function (FieldEdit $edit): void {
            $this->put(self::read($edit->value));
        });
    }

    /** @param  list<GunRow>  $guns  in the place of all there are */
    public function put(array $guns): void
    {
        Gun::query()->delete();
        foreach ($guns as $i => $gun) {
            Gun::query()->create(['id' => $gun['id'], 'name' => $gun['name'], 'nozzle_mm' => $gun['nozzleMm'], 'cup_ml' => $gun['cupMl'], 'position' => $i + 1]);
        }
    }

    /**
     * @return list<GunRow> as they were sent, or as a file has them
     *
     * @throws BadDocument where one is no gun
     */
    public static function read(mixed $sent): array
    {
        if (! is_array($sent) || ! array_is_list($sent) || count($sent) > self::MOST) {
            throw BadDocument::at('guns', 'is no list of at most '.self::MOST.' guns', 'give each its name, nozzle in mm and cup in ml');
        }
        $problems = new Problems;
        $guns = [];
        foreach ($sent as $i => $one) {
            $in = Reader::of(is_array($one) ? $one : [], "guns.{$i}", $problems);
            $id = $in->optionalText('id', 26);
            $guns[] = ['id' => $id ?? strtoupper((string) Str::ulid()), 'name' => $in->text('name', 60), 'nozzleMm' => $in->number('nozzleMm', 0.1, 1.0), 'cupMl' => $in->number('cupMl', 0.1, 500)];
            $in->refuseTheRest();
        }
        $problems->throwIfAny();
        if (count(array_unique(array_column($guns, 'id'))) < count($guns)) {
            throw BadDocument::at('guns', 'name one gun twice', 'leave the id out for a new one');
        }

        return $guns;
    }
}
