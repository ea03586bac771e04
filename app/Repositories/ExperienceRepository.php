<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event as LogEvent;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\Experience;
use AmberStep\Core\Log\Heard;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Log\UseBook;
use AmberStep\Core\Material\Shelf;
use App\Models\Build;
use App\Models\Event;

/** What the logs of all builds taught, as core sees it. */
final readonly class ExperienceRepository
{
    public function __construct(private ShelfRepository $shelf)
    {
    }

    public function all(): Experience
    {
        $shelf = $this->shelf->shelf();

        return new Experience(self::uses($shelf), self::heard($shelf));
    }

    /**
     * What was found of the waits, over all builds, in the order it was found.
     *
     * @return list<Heard>
     */
    private static function heard(Shelf $shelf): array
    {
        $builds = Event::query()->where('kind', EventKind::Verdict->value)->whereNotNull('body->wait')->distinct()->pluck('build_id')->all();
        /** @var list<Event> $rows */
        $rows = $builds === [] ? [] : Event::query()->whereIn('build_id', $builds)->whereIn('kind', [EventKind::Done->value, EventKind::Glued->value, EventKind::Verdict->value, EventKind::TakeBack->value])->orderBy('number')->get()->all();
        $logs = $heard = [];
        foreach ($rows as $row) {
            $logs[$row->build_id][] = LogEvent::fromArray($row->body);
        }
        $kits = Build::query()->whereIn('id', array_keys($logs))->get()->keyBy('id');
        foreach ($logs as $id => $events) {
            $kit = $kits->get($id)?->kit;
            array_push($heard, ...Heard::in($events, $shelf, $kit === null ? null : Kit::fromArray($kit)));
        }
        usort($heard, static fn (Heard $a, Heard $b): int => [$a->atEpoch, $a->eventId] <=> [$b->atEpoch, $b->eventId]);

        return $heard;
    }

    /** What was really used of each mix, over all builds. */
    private static function uses(Shelf $shelf): UseBook
    {
        $families = [];
        foreach ($shelf->products as $paint) {
            $families[$paint->id] = $paint->family;
        }
        /** @var list<Event> $rows */
        $rows = Event::query()->whereIn('kind', [EventKind::Mixed->value, EventKind::TakeBack->value])->orderBy('number')->get()->all();
        $jobs = [];
        foreach (Log::standing(array_map(static fn (Event $e): LogEvent => LogEvent::fromArray($e->body), $rows)) as $event) {
            $family = $families[(string) $event->product] ?? null;
            if ($family !== null && $event->usedMl !== null && $event->predictedMl !== null && $event->nozzleMm !== null) {
                $jobs[] = [$event->nozzleMm, $family, $event->usedMl, $event->predictedMl];
            }
        }

        return new UseBook($jobs);
    }
}
