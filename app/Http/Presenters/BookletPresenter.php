<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Booklet\BookletPrinter;
use AmberStep\Core\Booklet\ColourLists;
use AmberStep\Core\Booklet\Gluing;
use AmberStep\Core\Booklet\ListItem;
use AmberStep\Core\Booklet\Tally;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Callout;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\PaintedFace;
use AmberStep\Core\Kit\Parking;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Rule\Show\OptionParts;
use App\Build\Applied;
use App\Repositories\LoadedBuild;

/** The booklet as it was called out, its running totals, and the list of each colour. */
final class BookletPresenter
{
    /** @return array<string, mixed> */
    public static function page(LoadedBuild $build, Shelf $shelf, HouseRules $house, ModelState $surface, ?Applied $undoable): array
    {
        $kit = $build->kit;
        $parked = (new Parking($kit))->why;
        $callouts = $kit->callouts;
        usort($callouts, static fn (Callout $a, Callout $b): int => [$a->step, $a->position, $a->id] <=> [$b->step, $b->position, $b->id]);
        $active = Parking::active($kit);
        $last = $kit->callouts === [] ? null : $kit->callouts[array_key_last($kit->callouts)];

        return [
            'build' => KitPresenter::name($build),
            'lines' => BookletPrinter::text($kit, $shelf),
            'step' => $last?->step,
            'callouts' => array_map(static fn (Callout $c): array => self::callout($c, $kit, $shelf, $parked[$c->id] ?? null), $callouts),
            'lost' => count(self::lost($active)),
            'options' => self::options($kit),
            'tally' => self::tally($kit, $shelf, $house, $surface),
            'undoable' => $undoable?->toArray(),
        ];
    }

    /** @return array<string, mixed> */
    public static function tally(Kit $kit, Shelf $shelf, HouseRules $house, ModelState $surface): array
    {
        $active = Parking::active($kit);
        $breakdown = new Breakdown($active, $house->with($kit->house));
        $lists = ColourLists::of($active, $breakdown, $surface);

        return TallyPresenter::of(Tally::of($active, $lists, $shelf, $house->with($kit->house)), Gluing::of($active, $breakdown, $surface));
    }

    /** @return list<array<string, mixed>> */
    public static function lists(Kit $kit, Shelf $shelf, HouseRules $house, ModelState $surface): array
    {
        $active = Parking::active($kit);
        $lists = ColourLists::of($active, new Breakdown($active, $house->with($kit->house)), $surface);
        $out = [];
        foreach ($lists->byColour as $id => $items) {
            $out[] = self::list((string) $id, $items, $active, $shelf, $surface);
        }

        return $out;
    }

    /**
     * @param  list<ListItem>  $items
     * @return array<string, mixed>
     */
    public static function list(string $colourId, array $items, Kit $kit, Shelf $shelf, ModelState $surface): array
    {
        $colour = $kit->coloursById[$colourId];

        return [
            'id' => $colour->id, 'name' => $colour->name, 'code' => $colour->code, 'swatch' => $shelf->find($colour->product)?->swatch, 'mustMatch' => $colour->mustMatch,
            'closed' => isset($surface->closed[$colour->id]),
            'open' => count(array_filter($items, static fn (ListItem $i): bool => ! $i->isDone())),
            'items' => array_map(self::item(...), $items),
        ];
    }

    /** @return list<Callout> called out, and on no piece */
    public static function lost(Kit $kit): array
    {
        return array_values(array_filter($kit->callouts, static fn (Callout $c): bool => ($c->colour !== null || $c->clear) && ColourLists::areasOf($kit, $c) === []));
    }

    /** @return array<string, mixed> */
    private static function item(ListItem $item): array
    {
        return [
            'id' => $item->id, 'name' => $item->called(), 'step' => $item->step, 'piece' => $item->piece, 'faces' => array_map(static fn (PaintedFace $f): string => $f->value, $item->faces),
            'size' => $item->size->value, 'count' => $item->count, 'onceTogether' => $item->onceTogether, 'letsLight' => $item->letsLight, 'inside' => $item->inside,
            'tickedBy' => $item->tickedBy, 'sprayed' => $item->sprayed, 'done' => $item->isDone(), 'callout' => $item->isCallout,
        ];
    }

    /** @return array<string, mixed> */
    private static function callout(Callout $callout, Kit $kit, Shelf $shelf, ?string $parked): array
    {
        $colour = $kit->colour($callout->colour);
        $part = $kit->numbered($callout->number);

        return [
            'id' => $callout->id, 'step' => $callout->step, 'number' => $callout->number, 'name' => $callout->name ?? ($part === null || $part->name === $callout->number ? null : $part->name),
            'colour' => $colour->name ?? ($callout->clear ? 'clear' : 'bare'), 'code' => $colour?->code, 'swatch' => $shelf->find($colour?->product)?->swatch,
            'size' => $callout->size->value, 'faces' => array_map(static fn (PaintedFace $f): string => $f->value, $callout->faces), 'count' => $callout->count,
            'onceTogether' => $callout->onceTogether, 'letsLight' => $callout->letsLight, 'option' => $callout->option,
            'parked' => $parked, 'lost' => $parked === null && ($callout->colour !== null || $callout->clear) && ColourLists::areasOf($kit, $callout) === [],
        ];
    }

    /** @return list<array<string, mixed>> alternatives, and how each is built */
    private static function options(Kit $kit): array
    {
        $names = OptionParts::choices($kit);
        $out = [];
        foreach ($kit->options as $option) {
            $out[$option->name] = ['id' => $option->id, 'name' => $option->name, 'chosen' => $option->chosen, 'choices' => $names[$option->name] ?? array_values(array_filter([$option->chosen], static fn (?string $c): bool => $c !== null))];
        }

        return array_values($out);
    }
}
