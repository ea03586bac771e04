<?php

declare(strict_types=1);

namespace App\Build;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problem;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event as LogEvent;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Work\Operation;
use App\Clock\BenchClock;
use App\Models\Build;
use App\Models\Event;
use App\Repositories\BuildRepository;
use App\Repositories\EventRepository;
use App\Repositories\LoadedBuild;
use App\Repositories\ShelfRepository;
use App\Room\RoomSource;
use Illuminate\Support\Facades\DB;

/** Writes down what happened at the bench: once for each id, whole or not at all. */
final readonly class Recorder
{
    /** A clock that runs a little ahead is not the future. */
    private const FUTURE_SECONDS = 120;

    public function __construct(private BuildRepository $builds, private EventRepository $log, private ShelfRepository $shelf, private BenchClock $clock, private RoomSource $rooms)
    {
    }

    /**
     * Posting the same event again answers the first result.
     *
     * @return array{LogEvent, bool} the event as stored, and whether it is new
     *
     * Throws BadDocument when it names what is not there, or lies in the future
     *
     * @throws Conflict when its step was recorded from elsewhere
     */
    public function record(LoadedBuild $build, LogEvent $event): array
    {
        return DB::transaction(function () use ($build, $event): array {
            $known = Event::query()->where('id', $event->id)->first();
            if ($known !== null && $known->build_id !== $build->id) {
                throw new Conflict('An entry of another build has this id.', ['id' => $event->id, 'build' => $known->build_id]);
            }
            if ($known !== null) {
                return [LogEvent::fromArray($known->body), false];
            }
            $now = $this->clock->epoch();
            $this->check($build, $event, $now);
            $stored = LogEvent::fromArray([...$event->toArray(), ...$this->air($event, $now), 'recorded' => \AmberStep\Core\Document\Instant::format($now)]);
            Event::query()->create(['id' => $stored->id, 'build_id' => $build->id, 'kind' => $stored->kind->value, 'at' => $stored->atEpoch, 'recorded' => $now, 'step_key' => $stored->stepKey, 'body' => $stored->toArray()]);

            return [$stored, true];
        });
    }

    /**
     * The air it was done in, from the room's readings, where the user gave none.
     *
     * @return array<string, float>
     */
    private function air(LogEvent $event, int $now): array
    {
        $work = in_array($event->kind, [EventKind::Done, EventKind::MaskOn, EventKind::MaskOff, EventKind::Glued], true);
        if (! $work || $event->temperatureC !== null || $event->humidity !== null) {
            return [];
        }
        $air = $this->rooms->room($now)->at($event->atEpoch);

        return ['temperatureC' => round($air->temperatureC, 1), 'humidity' => round($air->humidity, 2)];
    }

    private function check(LoadedBuild $build, LogEvent $event, int $now): void
    {
        if (! Build::query()->whereKey($build->id)->where('revision', $build->revision)->exists()) {
            // It was changed, or is gone, since it was read: what is named is looked for in what is there now.
            $build = $this->builds->find($build->id) ?? throw BadDocument::at('build', 'is not here', 'it may have been removed meanwhile');
        }
        if ($event->atEpoch > $now + self::FUTURE_SECONDS) {
            throw BadDocument::at('at', 'lies in the future', 'a thing is recorded when it has happened');
        }
        self::named($build->kit, $event);
        if ($event->product !== null && $this->shelf->shelf()->find($event->product) === null) {
            throw BadDocument::at('product', 'is not on the shelf', 'give the id of a product on the shelf');
        }
        if ($event->kind === EventKind::TakeBack && $this->log->find($build->id, (string) $event->takesBack) === null) {
            throw BadDocument::at('takesBack', 'is not in the log of this build', 'give the id of one of its events');
        }
        foreach ($event->stepKey === null || $event->kind === EventKind::Note ? [] : Log::standing($this->log->answering($build->id, $event->stepKey)) as $other) {
            if ($other->stepKey === $event->stepKey) {
                throw new Conflict('This step was already recorded.', ['event' => $other->toArray()]);
            }
        }
    }

    private static function named(Kit $kit, LogEvent $event): void
    {
        $callouts = $event->kind === EventKind::Ticked || $event->operation === Operation::CloseColour ? array_map(static fn ($c): string => $c->id, $kit->callouts) : [];
        $problems = [];
        foreach ($event->targets as $i => $target) {
            if (! isset($kit->areasById[$target]) && ! isset($kit->jointsById[$target]) && ! isset($kit->partsById[$target]) && ! isset($kit->flawsById[$target]) && ! isset($kit->featuresById[$target]) && ! in_array($target, $callouts, true)) {
                $problems[] = new Problem("targets[{$i}]", 'is not in this build', 'name an area, joint, flaw or piece of it');
            }
        }
        if ($problems !== []) {
            throw new BadDocument($problems);
        }
    }
}
