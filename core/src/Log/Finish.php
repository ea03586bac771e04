<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\Acceptance;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Work\Operation;
use DateTimeImmutable;

/** What a model was finished with, as its log has it: coats from the bottom up, places made good, faults, and what was taken as it is with its reason. */
final readonly class Finish
{
    /**
     * @param  list<array{Operation, string, Product|null, non-empty-list<string>, int, int}>  $coats  what, for which purpose, with what, on which areas, fewest and most coats; in the order they were first laid
     * @param  list<string>  $good  names of the places that are good
     * @param  list<Filler>  $fillers  that went into them
     * @param  list<array{int, Fault, list<string>, Product|null}>  $faults  when, what, on what, with what on top
     * @param  list<array{what: string, reason: string}>  $accepted  findings and places taken as they are
     * @param  int  $evenings  days, in the user's zone, on which something was done
     */
    private function __construct(public array $coats, public array $good, public array $fillers, public array $faults, public array $accepted, public int $evenings, public ?int $firstEpoch, public ?int $lastEpoch)
    {
    }

    /**
     * @param  list<Event>  $events  all of the build
     * @param  ModelState  $surface  that they leave
     */
    public static function of(Kit $kit, Shelf $shelf, array $events, ModelState $surface, int $nowEpoch): self
    {
        $standing = array_values(array_filter(Log::standing($events), static fn (Event $e): bool => $e->atEpoch <= $nowEpoch));
        $worked = array_values(array_filter($standing, static fn (Event $e): bool => ! in_array($e->kind, [EventKind::Reading, EventKind::Note], true)));
        $days = array_unique(array_map(static fn (Event $e): string => (new DateTimeImmutable('@'.$e->atEpoch))->setTimezone($kit->zone)->format('Y-m-d'), $worked));
        [$good, $fillers] = self::madeGood($kit, $surface);

        return new self(
            self::laid($kit, $surface), $good, $fillers,
            array_values(array_map(static fn (Event $e): array => [$e->atEpoch, $e->fault ?? Fault::Dust, $e->targets, $shelf->find($e->product)], array_filter($standing, static fn (Event $e): bool => $e->kind === EventKind::Fault))),
            self::taken($kit, $standing),
            count($days), $worked[0]->atEpoch ?? null, $worked === [] ? null : $worked[count($worked) - 1]->atEpoch,
        );
    }

    /**
     * What was taken as it is, places and findings, with the reason.
     *
     * @param  list<Event>  $events  all of the build
     * @return list<array{what: string, reason: string}>
     */
    public static function accepted(Kit $kit, array $events, int $nowEpoch): array
    {
        return self::taken($kit, array_values(array_filter(Log::standing($events), static fn (Event $e): bool => $e->atEpoch <= $nowEpoch)));
    }

    /**
     * @param  list<Event>  $standing
     * @return list<array{what: string, reason: string}>
     */
    private static function taken(Kit $kit, array $standing): array
    {
        return [...self::takenPlaces($kit, $standing), ...array_map(static fn (Acceptance $a): array => ['what' => self::finding($a, $kit), 'reason' => $a->reason], $kit->accepted)];
    }

    /** @return list<array{Operation, string, Product|null, non-empty-list<string>, int, int}> */
    private static function laid(Kit $kit, ModelState $surface): array
    {
        $found = [];
        foreach ($kit->areas as $area) {
            foreach ($surface->area($area->id)->layers as $layer) {
                $key = $layer->operation->value.'/'.$layer->purpose.'/'.($layer->product->id ?? '');
                $n = count($layer->coats);
                $known = $found[$key] ?? [$layer->firstCoat()->atEpoch, [$layer->operation, $layer->purpose, $layer->product, [], $n, $n]];
                $known[0] = min($known[0], $layer->firstCoat()->atEpoch);
                $known[1][3][] = $area->name;
                [$known[1][4], $known[1][5]] = [min($known[1][4], $n), max($known[1][5], $n)];
                $found[$key] = $known;
            }
        }
        uasort($found, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_values(array_column($found, 1));
    }

    /** @return array{list<string>, list<Filler>} */
    private static function madeGood(Kit $kit, ModelState $surface): array
    {
        $good = $fillers = [];
        foreach (Place::all($kit) as $place) {
            $state = $surface->joint($place->id);
            $last = null;
            foreach ($state->deeds as $deed) {
                $last = $deed->what instanceof Verdict ? $deed->what : $last;
            }
            if ($last === Verdict::Good) {
                $good[] = $place->name;
            }
            if ($state->filler !== null && ! in_array($state->filler, $fillers, true)) {
                $fillers[] = $state->filler;
            }
        }

        return [$good, $fillers];
    }

    /**
     * Places by their last word: what was judged again is not accepted any more.
     *
     * @param  list<Event>  $standing
     * @return list<array{what: string, reason: string}>
     */
    private static function takenPlaces(Kit $kit, array $standing): array
    {
        $said = [];
        foreach ($standing as $event) {
            foreach ($event->kind === EventKind::Verdict && $event->verdict?->isOfPlace() === true ? $event->targets : [] as $target) {
                $said[$target] = $event->verdict === Verdict::Accept ? (string) $event->note : null;
            }
        }
        $taken = [];
        foreach (array_filter($said, is_string(...)) as $id => $reason) {
            $taken[] = ['what' => ucfirst($kit->nameOf((string) $id) ?? 'a place that is gone'), 'reason' => $reason];
        }

        return $taken;
    }

    /** A finding by its rule and what it is about, where that is still there. */
    private static function finding(Acceptance $accepted, Kit $kit): string
    {
        [$rule, $targets] = [...explode(':', $accepted->finding, 2), ''];
        $names = array_values(array_filter(array_map($kit->nameOf(...), explode(',', $targets)), is_string(...)));

        return ucfirst(str_replace('-', ' ', $rule)).($names === [] ? '' : ' on '.implode(', ', $names));
    }
}
