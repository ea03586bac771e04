<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Log\Event as LogEvent;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Mixing\UseFactor;
use App\Models\Event;

/** What was really used of each mix, over all builds: a gun takes what it takes whatever is painted. */
final readonly class Uses
{
    public function __construct(private ShelfRepository $shelf)
    {
    }

    public function of(float $nozzleMm, Family $family): UseFactor
    {
        $shelf = $this->shelf->shelf();
        $jobs = [];
        foreach ($this->standing() as $event) {
            if ($event->usedMl !== null && $event->predictedMl !== null && $event->nozzleMm !== null && abs($event->nozzleMm - $nozzleMm) < 0.001 && $shelf->find($event->product)?->family === $family) {
                $jobs[] = [$event->usedMl, $event->predictedMl];
            }
        }

        return UseFactor::of($jobs);
    }

    /** @return list<LogEvent> mixes that were not taken back */
    private function standing(): array
    {
        return Log::standing([...self::ofKind(EventKind::Mixed), ...self::ofKind(EventKind::TakeBack)]);
    }

    /** @return list<LogEvent> */
    private static function ofKind(EventKind $kind): array
    {
        $out = [];
        foreach (Event::query()->where('kind', $kind->value)->orderBy('number')->get()->all() as $event) {
            $out[] = LogEvent::fromArray($event->body);
        }

        return $out;
    }
}
