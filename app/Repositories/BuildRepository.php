<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event as LogEvent;
use App\Models\Build;
use App\Models\Event;

/** Builds and their logs, as core sees them. */
final class BuildRepository
{
    /** @return list<LoadedBuild> in the user's order */
    public function all(): array
    {
        /** @var list<Build> $rows */
        $rows = Build::query()->orderBy('position')->orderBy('id')->get()->all();

        return array_map($this->assemble(...), $rows);
    }

    public function find(string $id): ?LoadedBuild
    {
        $build = Build::query()->find($id);

        return $build === null ? null : $this->assemble($build);
    }

    private function assemble(Build $build): LoadedBuild
    {
        return new LoadedBuild($build->id, $build->revision, Kit::fromArray($build->kit), $this->events($build->id));
    }

    /** @return list<LogEvent> */
    private function events(string $buildId): array
    {
        /** @var list<Event> $rows */
        $rows = Event::query()->where('build_id', $buildId)->orderBy('number')->get()->all();

        return array_map(static fn (Event $e): LogEvent => LogEvent::fromArray($e->body), $rows);
    }
}
