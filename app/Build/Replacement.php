<?php

declare(strict_types=1);

namespace App\Build;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event as LogEvent;
use App\Models\Build;
use App\Models\Event;

/** A build put in the place of what it was, kit and log: a file that came over it, or what that came over. */
final class Replacement
{
    private const OP = 'file';

    /** @return list<array<string, mixed>> what stands in a change so that the build as it is now can be put back */
    public static function of(Build $build): array
    {
        /** @var list<Event> $rows */
        $rows = Event::query()->where('build_id', $build->id)->orderBy('number')->get()->all();
        $events = array_map(static fn (Event $e): array => $e->body, $rows);

        return [['op' => self::OP, 'kit' => $build->kit, 'events' => $events]];
    }

    /** @param  array<mixed>  $inverse  of a change */
    public static function isIn(array $inverse): bool
    {
        return (is_array($inverse[0] ?? null) ? $inverse[0]['op'] ?? null : null) === self::OP;
    }

    /**
     * @param  array<mixed>  $inverse  of a change that holds one
     *
     * @throws BadDocument where it is not one
     */
    public static function put(Build $build, array $inverse): void
    {
        $held = is_array($inverse[0] ?? null) ? $inverse[0] : [];
        $events = is_array($held['events'] ?? null) ? $held['events'] : [];
        self::write($build, Kit::fromArray($held['kit'] ?? null), array_values(array_map(LogEvent::fromArray(...), $events)));
    }

    /**
     * @param  list<LogEvent>  $events
     *
     * @throws BadDocument where an event belongs to another build here
     */
    public static function write(Build $build, Kit $kit, array $events): void
    {
        Event::query()->where('build_id', $build->id)->delete();
        foreach ($events as $event) {
            if (Event::query()->where('id', $event->id)->exists()) {
                throw BadDocument::at('events', "holds {$event->id}, which belongs to another build here", 'import the file as a copy');
            }
            Event::query()->create(['id' => $event->id, 'build_id' => $build->id, 'kind' => $event->kind->value, 'at' => $event->atEpoch, 'recorded' => $event->recordedEpoch, 'step_key' => $event->stepKey, 'body' => $event->toArray()]);
        }
        $build->update(['kit' => $kit->toArray(), 'name' => $kit->name]);
    }
}
