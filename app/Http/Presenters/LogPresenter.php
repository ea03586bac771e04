<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Drying\Wait;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\Finish;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Telling\Round;
use App\Repositories\LoadedBuild;

/** The log in words: what was done when, with what, in which air, on plan or off. */
final readonly class LogPresenter
{
    private const PAGE = 100;

    public function __construct(private Shelf $shelf)
    {
    }

    /** @return array<string, mixed> newest first, a page of them */
    public function page(LoadedBuild $build, int $from, int $nowEpoch): array
    {
        $events = array_values(array_filter($build->events(), static fn (Event $e): bool => $e->kind !== EventKind::TakeBack));
        usort($events, static fn (Event $a, Event $b): int => Event::inOrder($b, $a));
        $standing = array_fill_keys(array_map(static fn (Event $e): string => $e->id, Log::standing($build->events())), true);
        $page = array_slice($events, $from, self::PAGE);

        return [
            'events' => $this->inRounds($page, array_map(fn (Event $e): array => $this->line($e, $build->kit, isset($standing[$e->id])), $page)),
            'accepted' => $from === 0 ? Finish::accepted($build->kit, $build->events(), $nowEpoch) : [],
            'total' => count($events),
            'next' => $from + self::PAGE < count($events) ? $from + self::PAGE : null,
        ];
    }

    /**
     * Entries one after the other that were done in one go share a key.
     *
     * @param  list<Event>  $events
     * @param  list<array<string, mixed>>  $lines  of the events
     * @return list<array<string, mixed>>
     */
    private function inRounds(array $events, array $lines): array
    {
        foreach ($events as $i => $event) {
            $kind = Round::ofDone($event);
            $before = $events[$i - 1] ?? null;
            if ($kind !== null && $before !== null && Round::ofDone($before) === $kind && abs($before->atEpoch - $event->atEpoch) <= Round::APART) {
                $lines[$i - 1]['round'] ??= $before->id;
                $lines[$i]['round'] = $lines[$i - 1]['round'];
            }
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    public function line(Event $event, Kit $kit, bool $stands): array
    {
        return [
            'id' => $event->id,
            'at' => Time::utc($event->atEpoch),
            'recorded' => Time::utc($event->recordedEpoch),
            'title' => $this->title($event),
            'on' => $this->targets($event, $kit),
            'with' => $this->shelf->find($event->product)?->name,
            'swatch' => $this->shelf->find($event->product)?->swatch,
            'coat' => $event->coatKind?->value,
            'kind' => $event->kind->value,
            'air' => $event->temperatureC === null || $event->humidity === null ? null : ['temperatureC' => $event->temperatureC, 'humidity' => $event->humidity],
            'onPlan' => $event->stepKey !== null,
            'note' => $event->note,
            'standing' => $stands,
            'round' => null,
        ];
    }

    private function title(Event $event): string
    {
        return ucfirst(match ($event->kind) {
            EventKind::Done => ($event->operation?->word() ?? 'done').($event->filler === null ? '' : ', '.$event->filler->word()),
            EventKind::MaskOn => 'mask on'.($event->medium === null ? '' : ', '.$event->medium->word()),
            EventKind::MaskOff => 'mask off',
            EventKind::Glued => 'joint closed'.($event->glue === null ? '' : ', '.$event->glue->word()),
            EventKind::IntoCabinet => sprintf('into the cabinet, %g °C', $event->cabinetC ?? 0),
            EventKind::OutOfCabinet => 'out of the cabinet',
            EventKind::Mixed => self::mixed($event),
            EventKind::Fault => $event->fault?->word() ?? 'fault',
            EventKind::Verdict => self::verdict($event),
            EventKind::Ticked => 'ticked on the colour list',
            EventKind::Fitted => 'fitted'.($event->place === null ? '' : ', '.$event->place),
            EventKind::Reading => 'reading',
            EventKind::Note => 'note',
            EventKind::TakeBack => 'taken back',
        });
    }

    private static function mixed(Event $event): string
    {
        return match (true) {
            $event->usedMl !== null => sprintf('%g ml used', round($event->usedMl, 2)).($event->predictedMl === null ? '' : sprintf(', %g worked out', round($event->predictedMl, 2))),
            $event->poured !== [] => 'poured '.implode(' + ', array_map(static fn (float $ml): string => sprintf('%g', round($ml, 2)), $event->poured)).' ml',
            $event->potLifeMinutes !== null => 'mixed with hardener, lives '.Wait::span($event->potLifeMinutes),
            default => 'stirred and mixed',
        };
    }

    private static function verdict(Event $event): string
    {
        $by = $event->purpose === '' || $event->wait !== null ? '' : ", {$event->purpose}";

        return match (true) {
            $event->verdict?->isOfPlace() === true => "looked at{$by}: {$event->verdict->word()}",
            $event->wait === null => "round{$by}: ".($event->found ?? 0).' found',
            default => 'found '.($event->verdict->value ?? ''),
        };
    }

    private function targets(Event $event, Kit $kit): string
    {
        return $this->names($event->targets, $kit);
    }

    /** @param  list<string>  $ids */
    private function names(array $ids, Kit $kit): string
    {
        $names = array_map(static fn (string $id): string => $kit->nameOf($id) ?? self::calledOut($kit, $id) ?? 'something that is gone', $ids);

        return count($names) > 3 ? Names::listed([...array_slice($names, 0, 2), (count($names) - 2).' more']) : Names::listed($names);
    }

    private static function calledOut(Kit $kit, string $id): ?string
    {
        foreach ($kit->callouts as $callout) {
            if ($callout->id === $id) {
                return $callout->called();
            }
        }

        return null;
    }
}
