<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Callout;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Work\Operation;

/** For each colour all that gets it: what the booklet calls out, and the areas it forgets. Nothing parked is on them. */
final readonly class ColourLists
{
    /** @param  array<string, list<ListItem>>  $byColour  in the order of the booklet */
    private function __construct(public array $byColour)
    {
    }

    /** @param  Kit  $kit  what is built: without what is parked */
    public static function of(Kit $kit, Breakdown $breakdown, ModelState $surface): self
    {
        $lists = array_fill_keys(array_map(static fn ($c): string => $c->id, $kit->colours), []);
        $called = [];
        $callouts = $kit->callouts;
        usort($callouts, static fn (Callout $a, Callout $b): int => [$a->step, $a->position, $a->id] <=> [$b->step, $b->position, $b->id]);
        foreach ($callouts as $callout) {
            if ($callout->colour === null) {
                continue;
            }
            $areas = self::areasOf($kit, $callout);
            foreach ($areas as $area) {
                $called[$area->id.'/'.$callout->colour] = true;
            }
            $lists[$callout->colour][] = self::ofCallout($callout, $areas, $kit, $breakdown, $surface);
        }
        foreach ($kit->areas as $area) {
            foreach (array_unique(array_filter([$area->intent->colour, $area->intent->insideColour], static fn (?string $c): bool => $c !== null)) as $colour) {
                if (! isset($called[$area->id.'/'.$colour])) {
                    $lists[$colour][] = self::ofArea($area, $colour, $kit, $breakdown, $surface);
                }
            }
        }

        return new self(array_filter($lists, static fn (array $items): bool => $items !== []));
    }

    /** @return list<ListItem> */
    public function all(): array
    {
        return array_merge(...array_values($this->byColour), ...[[]]);
    }

    /** @return list<ListItem> of a colour, that are neither ticked nor sprayed */
    public function open(string $colour): array
    {
        return array_values(array_filter($this->byColour[$colour] ?? [], static fn (ListItem $i): bool => ! $i->isDone()));
    }

    /** @return list<Area> the areas that stand for a call-out in the plan */
    public static function areasOf(Kit $kit, Callout $callout): array
    {
        $part = $kit->numbered($callout->number);

        return $part === null ? [] : array_values(array_filter($kit->areasOf($part->id), static fn (Area $a): bool => $callout->clear ? $a->isPane() : in_array($callout->colour, [$a->intent->colour, $a->intent->insideColour], true)));
    }

    /**
     * cm² of a call-out: what was measured of the areas that stand for it beats the size it was typed with.
     *
     * @param  list<Area>  $areas
     */
    private static function cm2(Callout $callout, array $areas, Kit $kit): float
    {
        $alike = count(array_filter($kit->callouts, static fn (Callout $c): bool => $c->number === $callout->number && $c->colour === $callout->colour));
        $measured = array_filter($areas, static fn (Area $a): bool => $a->measuredCm2 !== null);

        return $measured === [] || $alike > 1 ? $callout->cm2() : array_sum(array_map(static fn (Area $a): float => $a->cm2(), $areas));
    }

    /** @param  list<Area>  $areas */
    private static function ofCallout(Callout $callout, array $areas, Kit $kit, Breakdown $breakdown, ModelState $surface): ListItem
    {
        $part = $kit->numbered($callout->number);
        $colour = (string) $callout->colour;
        $sprayed = $areas !== [] && array_filter($areas, static fn (Area $a): bool => ! self::isSprayed($a, $colour, $surface)) === [];

        return new ListItem($callout->id, $colour, $callout->name ?? $part->name ?? $callout->number, $callout->number, $callout->step, $part === null || $areas === [] ? null : $breakdown->pieceAt($part->id)?->name,
            $callout->faces, $callout->size, self::cm2($callout, $areas, $kit), $callout->count, $callout->onceTogether, $callout->letsLight || ($part->letsLight ?? false), in_array(\AmberStep\Core\Kit\PaintedFace::Inside, $callout->faces, true),
            $surface->ticks["{$callout->id}/{$colour}"] ?? null, $sprayed, true);
    }

    private static function ofArea(Area $area, string $colour, Kit $kit, Breakdown $breakdown, ModelState $surface): ListItem
    {
        $part = $kit->partsById[$area->part];
        $name = count($kit->areasOf($area->part)) > 1 ? "{$part->name}, {$area->name}" : $part->name;

        return new ListItem($area->id, $colour, $name.($area->intent->colour === $colour ? '' : ', inside colour'), $part->number, $part->bookletStep, $breakdown->pieceAt($area->id)?->name,
            [], $area->measuredCm2 === null ? $area->size : Size::nearest($area->measuredCm2 / $part->count), $area->cm2(), $part->count, false, $part->letsLight, $area->face === Face::Inside,
            $surface->ticks["{$area->id}/{$colour}"] ?? null, self::isSprayed($area, $colour, $surface), false);
    }

    private static function isSprayed(Area $area, string $colour, ModelState $surface): bool
    {
        $state = $surface->area($area->id);

        return $state->count(Operation::Colour, $colour) + $state->count(Operation::InsideColour, $colour) > 0;
    }
}
