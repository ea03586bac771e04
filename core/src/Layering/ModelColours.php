<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Edge;
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
    /** @var list<Colour> those that are sprayed, in the user's order: the entries */
    public array $colours;

    /** @var list<Product|null> shades of primer besides the pieces' own; the first place stands for those */
    public array $shades;

    public OrderProblem $problem;

    private Hiding $hiding;

    public function __construct(private Kit $kit, private HouseRules $house, private Shelf $shelf, private Breakdown $breakdown, private ModelState $surface)
    {
        $this->hiding = new Hiding($house);
        $primers = new PrimerChoice($kit, $house, $shelf, new Choice($shelf, $house), new Pins($kit), $this->hiding, $surface);
        $byPiece = $this->areas();
        $used = [];
        foreach ($byPiece as [, $areas]) {
            $used += array_fill_keys(array_map(static fn (Area $a): string => (string) $a->intent->colour, $areas), true);
        }
        $this->colours = array_values(array_filter($kit->colours, static fn (Colour $c): bool => isset($used[$c->id])));
        $places = array_flip(array_map(static fn (Colour $c): string => $c->id, $this->colours));
        $shades = [null];
        $patches = [];
        foreach ($byPiece as [$piece, $areas]) {
            $chosen = $primers->under($areas, $piece);
            $others = [];
            foreach ($primers->otherShades($areas, $chosen) as $primer) {
                $known = array_search($primer, $shades, true);
                $others[$known === false ? count($shades) : $known] = $primer;
                $shades = $known === false ? [...$shades, $primer] : $shades;
            }
            foreach ($areas as $area) {
                $patches[] = [$area, $piece->id.'+'.$this->phaseOf($area), $chosen[$area->id]->product ?? null, $others];
            }
        }
        $this->shades = $shades;
        $this->problem = new OrderProblem($this->entries(), array_map(fn (array $p): Patch => $this->patch(...$p, places: $places), $patches), array_map(static fn (?Product $p): string => $p->name ?? '', $shades));
    }

    /** @return list<array{Piece, non-empty-list<Area>}> painted areas with a colour, by piece and phase */
    private function areas(): array
    {
        $by = [];
        foreach ($this->breakdown->pieces as $piece) {
            foreach ($piece->areas as $area) {
                if ($area->isPainted() && $this->kit->colour($area->intent->colour) !== null) {
                    $key = $piece->id.'+'.$this->phaseOf($area);
                    $by[$key] = [$piece, [...$by[$key][1] ?? [], $area]];
                }
            }
        }

        return array_values($by);
    }

    private function phaseOf(Area $area): string
    {
        $joint = $this->breakdown->blocks($area->id);

        return $joint !== null && $this->breakdown->closesBeforePaint($joint->id) ? $joint->id : '';
    }

    /** @return list<Entry> what was begun comes before what was not: nobody sprays an earlier colour over a finished one */
    private function entries(): array
    {
        $begun = [];
        foreach ($this->kit->areas as $area) {
            if ($area->intent->colour !== null && $this->surface->area($area->id)->count(Operation::Colour, $area->intent->colour) > 0) {
                $begun[$area->intent->colour] = true;
            }
        }
        $bits = 0;
        foreach ($this->colours as $i => $colour) {
            $bits |= isset($begun[$colour->id]) ? 1 << $i : 0;
        }

        return array_map(static fn (Colour $c): Entry => new Entry($c->id, $c->product, isset($begun[$c->id]) ? 0 : $bits), $this->colours);
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
        $coats = [$this->coats($own, $ground->swatch ?? $primer->swatch ?? $this->kit->partsById[$area->part]->mouldedColour)];
        // Shades the piece cannot have are as its own.
        for ($shade = 1, $last = $ground === null && $others !== [] ? max(array_keys($others)) : 0; $shade <= $last; $shade++) {
            $coats[] = isset($others[$shade]) ? $this->coats($own, $others[$shade]->swatch) : $coats[0];
        }
        $over = $edges = [];
        foreach ($this->kit->edgesOf($area->id) as $edge) {
            $meets = $this->kit->areasById[$edge->areas[0] === $area->id ? $edge->areas[1] : $edge->areas[0]] ?? null;
            $other = $places[(string) $meets?->intent->colour] ?? null;
            if ($meets === null || $other === null || ! $meets->isPainted() || $meets->intent->colour === $area->intent->colour || $this->phaseOf($meets) !== $this->phaseOf($area)) {
                continue;
            }
            $over[$other] = max($over[$other] ?? 0, ...array_map(fn (?Product $p): int => $p?->swatch === null ? 0 : $this->coats($own, $p->swatch), [$this->shelf->find($this->kit->colour($meets->intent->colour)?->product), $this->shelf->find($this->kit->colour($meets->intent->ground)?->product)]));
            $edges[$other] = [($edges[$other][0] ?? 0.0) + $edge->mm / 10, ($edges[$other][1] ?? 0.0) + $this->minutes($edge)];
        }

        return new Patch($places[(string) $area->intent->colour], $piece, $area->cm2(), $coats, $over, $edges);
    }

    private function coats(?Product $colour, ?string $ground): int
    {
        return $colour === null || $colour->role === Role::TintedClear ? 2 : $this->hiding->coats($colour, $ground);
    }

    private function minutes(Edge $edge): float
    {
        return $edge->mm / 10 * MaskSteps::mediumOf([$edge], $this->house)->minutesPerCm($edge->curve->value);
    }
}
