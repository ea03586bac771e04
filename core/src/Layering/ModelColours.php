<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Masking\Order\Entry;
use AmberStep\Core\Masking\Order\OrderProblem;
use AmberStep\Core\Masking\Order\Patch;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Work\Operation;

/** The colours of a kit as a question of order: what each has to hide on which areas, and where they meet. */
final readonly class ModelColours
{
    /** Minutes for each cm of a soft edge that is gone along once more. */
    private const FRINGE = 0.1;

    /** @var list<array{Colour, bool}> the entries: colours that are sprayed and whether inside, before the rest of their piece; metallics first where it makes no odds, then what wants a ground of its own, then light before dark, then the user's order */
    public array $entries;

    /** @var list<Product|null> shades of primer besides the pieces' own; the first place stands for those */
    public array $shades;

    public OrderProblem $problem;

    private Hiding $hiding;

    /**
     * @param  bool  $asBegun  what was begun comes first: how it can go on; else how it was best from the first coat on
     * @param  PrimerChoice|null  $primers  as it chooses for the layers too; null: chosen anew
     */
    public function __construct(private Kit $kit, private HouseRules $house, private Shelf $shelf, private Breakdown $breakdown, private ModelState $surface, private bool $asBegun = true, ?PrimerChoice $primers = null)
    {
        $primers ??= new PrimerChoice($kit, $house, $shelf, new Choice($shelf, $house), new Pins($kit), new Hiding($house), $surface);
        $this->hiding = $primers->hiding;
        $byPiece = $this->areas();
        $this->entries = $this->sprayed($byPiece);
        $places = [];
        foreach ($this->entries as $i => [$colour, $inside]) {
            $places[self::key($colour->id, $inside)] = $i;
        }
        $shades = [null];
        $patches = [];
        foreach ($byPiece as [$piece, $areas]) {
            $chosen = $primers->under($areas, $piece);
            $others = [];
            $isPrimed = array_filter($areas, static fn (Area $a): bool => $surface->area($a->id)->count(Operation::Prime, 'all') > 0) !== [];
            foreach ($isPrimed ? [] : $primers->otherShades($areas, $chosen) as $primer) {
                $known = array_search($primer, $shades, true);
                $others[$known === false ? count($shades) : $known] = $primer;
                $shades = $known === false ? [...$shades, $primer] : $shades;
            }
            foreach ($areas as $area) {
                $patches[] = [$area, $piece->id.'+'.Phase::of($area->id, $this->breakdown), $chosen[$area->id]->product ?? null, $others];
            }
        }
        $this->shades = $shades;
        $this->problem = new OrderProblem($this->musts($byPiece, $places), array_map(fn (array $p): Patch => $this->patch(...$p, places: $places), $patches), array_map(static fn (?Product $p): string => $p->name ?? '', $shades), (float) $house->position('evening'));
    }

    /** @return list<array{Piece, non-empty-list<Area>}> painted areas with a colour, by piece and phase */
    private function areas(): array
    {
        $by = [];
        foreach ($this->breakdown->pieces as $piece) {
            foreach ($piece->areas as $area) {
                if ($area->isPainted() && $this->kit->colour($area->intent->colour) !== null) {
                    $key = $piece->id.'+'.Phase::of($area->id, $this->breakdown);
                    $by[$key] = [$piece, [...$by[$key][1] ?? [], $area]];
                }
            }
        }

        return array_values($by);
    }

    /** What an entry is known by: a colour that is sprayed inside and outside is two. */
    public static function key(string $colourId, bool $inside): string
    {
        return $colourId.($inside ? '+inside' : '');
    }

    /** How an entry is told: with where, if the colour is sprayed both inside and outside. */
    public function nameOf(int $entry): string
    {
        [$colour, $inside] = $this->entries[$entry];
        $both = count(array_filter($this->entries, static fn (array $e): bool => $e[0] === $colour)) > 1;

        return $colour->name.($both ? ($inside ? ', inside' : ', outside') : '');
    }

    /**
     * @param  list<array{Piece, non-empty-list<Area>}>  $byPiece
     * @return list<array{Colour, bool}>
     */
    private function sprayed(array $byPiece): array
    {
        $entries = [];
        foreach ($byPiece as [, $areas]) {
            foreach ($areas as $area) {
                $colour = $this->kit->coloursById[(string) $area->intent->colour];
                $inside = Phase::of($area->id, $this->breakdown) !== '';
                $entries[self::key($colour->id, $inside)] = [$colour, $inside];
            }
        }
        $entries = array_values($entries);
        $grounded = [];
        foreach ($this->kit->areas as $area) {
            $grounded[(string) $area->intent->colour] = ($grounded[(string) $area->intent->colour] ?? false) || $area->intent->ground !== null;
        }
        $byCost = ! $this->house->says('light-first', 'always');
        $key = fn (Colour $colour, bool $inside): array => [! $inside, $byCost && $this->shelf->find($colour->product)?->isMetallic() !== true, $byCost && ! $grounded[$colour->id], -round(ColourOrder::lightness($this->shelf->find($colour->product))), $colour->position, $colour->id];
        usort($entries, static fn (array $a, array $b): int => $key(...$a) <=> $key(...$b));

        return $entries;
    }

    /**
     * Inside before outside; and what was begun comes before what was not, in the order it was: nobody sprays an earlier colour
     * over a finished one.
     *
     * @param  list<array{Piece, non-empty-list<Area>}>  $byPiece
     * @param  array<string, int>  $places
     * @return list<Entry>
     */
    private function musts(array $byPiece, array $places): array
    {
        $inside = $begun = $outside = [];
        foreach ($byPiece as [$piece, $areas]) {
            foreach ($areas as $area) {
                $in = Phase::of($area->id, $this->breakdown) !== '';
                $place = $places[self::key((string) $area->intent->colour, $in)];
                $in ? $inside[$piece->id][$place] = true : $outside[$place][$piece->id] = true;
                foreach ($this->asBegun ? $this->surface->area($area->id)->layers : [] as $layer) {
                    if ($layer->operation === Operation::Colour && $layer->purpose === $area->intent->colour) {
                        $begun[$place] = min($begun[$place] ?? PHP_INT_MAX, $layer->firstCoat()->atEpoch);
                    }
                }
            }
        }
        asort($begun);
        $entries = [];
        foreach ($this->entries as $i => [$colour]) {
            $first = isset($begun[$i]) ? array_keys(array_slice($begun, 0, (int) array_search($i, array_keys($begun), true), true)) : array_keys($begun);
            foreach (array_keys($outside[$i] ?? []) as $piece) {
                array_push($first, ...array_keys($inside[$piece] ?? []));
            }
            $entries[] = new Entry(self::key($colour->id, $this->entries[$i][1]), $colour->product, array_reduce($first, static fn (int $bits, int $at): int => $bits | 1 << $at, 0));
        }

        return $entries;
    }

    /**
     * @param  Product|null  $primer  the area has; null: none
     * @param  array<int, Product>  $others  primers of another shade, by shade
     * @param  array<string, int>  $places  of the colours
     */
    private function patch(Area $area, string $piece, ?Product $primer, array $others, array $places): Patch
    {
        $own = $this->shelf->find($this->kit->colour($area->intent->colour)?->product);
        $ground = $this->shelf->find($this->kit->colour($area->intent->ground)?->product);
        // A ground of its own has to hide what lies there, and the colour the ground: that overspray is the dearest.
        $over = fn (?string $swatch): int => $ground === null ? $this->coats($own, $swatch) : $this->coats($ground, $swatch) + $this->coats($own, $ground->swatch);
        $inside = Phase::of($area->id, $this->breakdown) !== '';
        $coats = [$over($primer->swatch ?? $this->kit->partsById[$area->part]->mouldedColour)];
        // Shades the piece cannot have are as its own.
        for ($shade = 1, $last = $others !== [] ? max(array_keys($others)) : 0; $shade <= $last; $shade++) {
            $coats[] = isset($others[$shade]) ? $over($others[$shade]->swatch) : $coats[0];
        }
        $hidden = $edges = $fringes = [];
        foreach ($this->kit->edgesOf($area->id) as $edge) {
            $meets = $this->kit->areasById[$edge->areas[0] === $area->id ? $edge->areas[1] : $edge->areas[0]] ?? null;
            $other = $places[self::key((string) $meets?->intent->colour, $inside)] ?? null;
            if ($meets === null || $other === null || ! $meets->isPainted() || $meets->intent->colour === $area->intent->colour || Phase::of($meets->id, $this->breakdown) !== Phase::of($area->id, $this->breakdown)) {
                continue;
            }
            foreach ([$meets->intent->colour, $meets->intent->ground] as $falls) {
                $swatch = $this->shelf->find($this->kit->colour($falls)?->product)?->swatch;
                $hidden[$other] = max($hidden[$other] ?? 0, $swatch === null ? 0 : $over($swatch));
            }
            $theirs = $this->shelf->find($this->kit->colour($meets->intent->colour)?->product);
            // What fades out lies thin: light over dark looks dusty there until it was gone along again.
            if ($edge->kind !== EdgeKind::Hard && ColourOrder::lightness($own) > ColourOrder::lightness($theirs)) {
                $fringes[$other] = ($fringes[$other] ?? 0.0) + self::FRINGE * $edge->mm / 10;
            }
            $medium = MaskSteps::mediumOf([$edge], $this->house);
            [$cm, $minutes, $soft] = $edges[$other] ?? [0.0, 0.0, false];
            $edges[$other] = [$cm + $edge->mm / 10, $minutes + $edge->mm / 10 * $medium->minutesPerCm($edge->curve->value), $soft || $medium->isSoft()];
        }

        return new Patch($places[self::key((string) $area->intent->colour, $inside)], $piece, $area->cm2(), $coats, $hidden, $edges, $fringes);
    }

    private function coats(?Product $colour, ?string $ground): int
    {
        return $colour === null || $colour->role === Role::TintedClear ? 2 : $this->hiding->coats($colour, $ground);
    }
}
