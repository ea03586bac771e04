<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Log\Event as LogEvent;
use AmberStep\Core\Log\EventKind;
use App\Models\Event;

/** The log of a build, as core sees it: all of it, its end, or what is said of one step. */
final class EventRepository
{
    /** @return list<LogEvent> as they came in */
    public function all(string $buildId): array
    {
        return self::read(Event::query()->where('build_id', $buildId)->orderBy('number')->get()->all());
    }

    /** @return list<LogEvent> that came in after one, by its number */
    public function since(string $buildId, int $number): array
    {
        return self::read(Event::query()->where('build_id', $buildId)->where('number', '>', $number)->orderBy('number')->get()->all());
    }

    /**
     * Those that happened after a moment of the log, and whatever takes anything back.
     *
     * @return list<LogEvent>
     */
    public function after(string $buildId, int $atEpoch): array
    {
        return self::read(Event::query()->where('build_id', $buildId)->where(static fn ($q) => $q->where('at', '>=', $atEpoch)->orWhere('kind', EventKind::TakeBack->value))->orderBy('number')->get()->all());
    }

    /** @return list<LogEvent> that answered a step, and whatever takes anything back */
    public function answering(string $buildId, string $stepKey): array
    {
        return self::read(Event::query()->where('build_id', $buildId)->where(static fn ($q) => $q->where('step_key', $stepKey)->orWhere('kind', EventKind::TakeBack->value))->orderBy('number')->get()->all());
    }

    public function find(string $buildId, string $id): ?LogEvent
    {
        $row = Event::query()->where('build_id', $buildId)->where('id', $id)->first();

        return $row === null ? null : LogEvent::fromArray($row->body);
    }

    public function last(string $buildId): int
    {
        return (int) Event::query()->where('build_id', $buildId)->max('number');
    }

    /**
     * @param  array<mixed>  $rows  of the table
     * @return list<LogEvent>
     */
    private static function read(array $rows): array
    {
        /** @var list<Event> $rows */
        return array_map(static fn (Event $e): LogEvent => LogEvent::fromArray($e->body), $rows);
    }
}
