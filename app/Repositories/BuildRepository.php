<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Kit;
use App\Models\Build;

/** Builds and their logs, as core sees them. */
final readonly class BuildRepository
{
    public function __construct(private EventRepository $events)
    {
    }

    /** @return list<LoadedBuild> those in hand, in the user's order */
    public function all(): array
    {
        /** @var list<Build> $rows */
        $rows = Build::query()->whereNull('binned')->where('away', false)->orderBy('position')->orderBy('id')->get()->all();

        return array_map($this->assemble(...), $rows);
    }

    /** @return list<LoadedBuild> those of them that can be read: the frame says which cannot */
    public function readable(): array
    {
        /** @var list<Build> $rows */
        $rows = Build::query()->whereNull('binned')->where('away', false)->orderBy('position')->orderBy('id')->get()->all();
        $builds = [];
        foreach ($rows as $row) {
            try {
                $build = $this->assemble($row);
                $build->events();
                $builds[] = $build;
            } catch (BadDocument) {
                continue;
            }
        }

        return $builds;
    }

    /** @return list<Kit> of all builds in hand that can be read, in the user's order */
    public function kits(): array
    {
        $kits = [];
        foreach (Build::query()->whereNull('binned')->where('away', false)->orderBy('position')->orderBy('id')->get(['id', 'kit'])->all() as $row) {
            try {
                $kits[] = Kit::fromArray($row->kit);
            } catch (BadDocument) {
                continue;
            }
        }

        return $kits;
    }

    public function find(string $id): ?LoadedBuild
    {
        /** @var Build|null $build */
        $build = Build::query()->whereKey($id)->whereNull('binned')->first();

        return $build === null ? null : $this->assemble($build);
    }

    private function assemble(Build $build): LoadedBuild
    {
        return new LoadedBuild($build->id, $build->revision, Kit::fromArray($build->kit), fn (): array => $this->events->all($build->id));
    }
}
