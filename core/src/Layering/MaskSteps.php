<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Curve;
use AmberStep\Core\Kit\Edge;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;

/** Which areas are covered while others are sprayed, with what, and when the masks come off. */
final readonly class MaskSteps
{
    /** Colours on a piece up to which a roll of putty stays on for all of them: they are sprayed in one sitting. */
    private const LASTS = 2;

    public function __construct(private Kit $kit, private HouseRules $house, private Breakdown $breakdown, private Pins $pins)
    {
    }

    /**
     * Joint faces glued after paint are kept bare, where cement or a load needs them bare (rule joint-faces-bare).
     * Inside work also comes before its own joint is closed, and before what it is on is put in.
     *
     * @param  list<Area>  $areas  that are painted then
     */
    public function faces(StepSet $steps, Piece $piece, string $phase, array $areas): void
    {
        $inner = [];
        foreach ($phase === '' ? [] : $areas as $area) {
            // What it is put in by, and all that shut it in after: cement does not hold on the paint that reaches their faces.
            $walls = $area->face === Face::Inside ? $this->breakdown->enclosure->closersOf($area->part) : [];
            foreach ([...$this->breakdown->enclosure->joinsOf($area->part), ...$walls] as $joint) {
                $inner[$joint->id] = true;
            }
        }
        foreach ($this->breakdown->jointsOf($piece->id) as $joint) {
            $here = $phase === '' ? ! $this->breakdown->closesBeforePaint($joint->id) : $joint->id === $phase || (isset($inner[$joint->id]) && $this->breakdown->closesBeforePaint($joint->id));
            if (! $here || ! ($joint->glue->isCement() || $joint->carriesLoad)) {
                continue;
            }
            if ($this->pins->present(Operation::MaskFaces, $joint->id, $joint->id, $piece->id) === false || $steps->find("{$piece->id}/mask-faces/{$joint->id}/1") !== null) {
                continue;
            }
            $steps->add(new Step($piece->id, Operation::MaskFaces, $joint->id, 1, 1, $piece->id, [$piece->id], Rank::of(Operation::MaskFaces, $phase), $piece->position, $phase, medium: Medium::Plug));
            $steps->add(new Step($piece->id, Operation::Unplug, $joint->id, 1, 1, $piece->id, [$piece->id], Rank::of(Operation::Unplug, $phase), $piece->position, $phase));
        }
    }

    /** An inside that is finished and stays open is covered while the outside is sanded and sprayed (rule opening-covered). */
    public function openings(StepSet $steps, Piece $piece): void
    {
        $open = [];
        foreach ($piece->areas as $area) {
            if ($area->isPainted() && $this->breakdown->enclosure->staysOpen($area, $this->breakdown)) {
                $open[] = $area->id;
            }
        }
        if ($open !== [] && $this->pins->present(Operation::Mask, MaskFor::OPENING, $piece->id, ...$open) !== false) {
            $this->pair($steps, $piece, MaskFor::OPENING, $open, Medium::Plug, Rank::of(Operation::Fill) + 1, Rank::of(Operation::Unmask, extra: 85), '');
        }
    }

    /** Panes and what else stays bare: covered from before the first paint to after the last. */
    public function bare(StepSet $steps, Piece $piece): void
    {
        $groups = [MaskFor::PANES => [], MaskFor::BARE => []];
        foreach ($piece->areas as $area) {
            if ($area->isPane()) {
                $groups[MaskFor::PANES][] = $area->id;
            } elseif ($area->face === Face::Outside && $area->intent->isClear()) {
                $groups[MaskFor::BARE][] = $area->id;
            }
        }
        foreach ($groups as $purpose => $ids) {
            if ($ids === [] || ! $piece->hasPaint() || $this->pins->present(Operation::Mask, $purpose, $piece->id, ...$ids) === false) {
                continue;
            }
            $medium = $this->pins->find(static fn (Pin $p): ?Medium => $p->medium, Operation::Mask, $purpose, $piece->id, ...$ids)
                ?? ($purpose === MaskFor::PANES ? Medium::CutFilm : Medium::PaperTape);
            $this->pair($steps, $piece, $purpose, $ids, $medium, Rank::of(Operation::Mask), Rank::of(Operation::Unmask, extra: 90), '');
        }
    }

    /**
     * A sprayed area is capped once, before the next colour that is sprayed on its piece, and stays capped
     * until the piece's last colour is on. Putty does not last that long where more than two colours come after: what
     * is sprayed has to take a mask itself before the next goes on. There each stage has its own roll, lifted
     * once its colour is on and laid again for the next (handbook 7: relaid at a change of stage).
     *
     * @param  non-empty-list<Area>  $areas
     * @param  array<string, int>  $places  of the piece's colours, first sprayed first
     */
    public function colours(StepSet $steps, Piece $piece, string $phase, array $areas, array $places): void
    {
        $byColour = [];
        foreach ($areas as $area) {
            $byColour[(string) $area->intent->colour][] = $area;
        }
        $order = array_keys($places);
        $mediums = [];
        for ($i = 0; $i < count($order) - 1; $i++) {
            $colour = $order[$i];
            $ids = array_map(static fn (Area $a): string => $a->id, $byColour[$colour]);
            if ($this->pins->present(Operation::Mask, $colour, $piece->id, ...$ids) === false) {
                continue;
            }
            $mediums[$i] = $this->pins->find(static fn (Pin $p): ?Medium => $p->medium, Operation::Mask, $colour, $piece->id, ...$ids) ?? $this->medium($ids, $this->later($order, $i, $byColour));
        }
        $relaid = count($order) > self::LASTS && in_array(Medium::Putty, $mediums, true);
        foreach ($mediums as $i => $medium) {
            $colour = $order[$i];
            $ids = array_map(static fn (Area $a): string => $a->id, $byColour[$colour]);
            $purpose = $phase === '' ? $colour : $colour.'+'.$phase;
            $last = count($order) - 1;
            for ($from = $i + 1, $n = 1; $from <= $last; $from = $to + 1, $n++) {
                $to = $relaid && $medium === Medium::Putty ? $from : $last;
                $off = $to === $last ? Rank::of(Operation::Unmask, $phase, extra: -$i) : Rank::maskAfter($places[$order[$to]], $phase);
                $this->pair($steps, $piece, $purpose, $ids, $medium, Rank::maskBefore($places[$order[$from]], $phase), $off, $phase, $n, $to === $from ? $last - $i : 1);
            }
        }
    }

    /** What shines otherwise is capped before another sheen is sprayed beside it, until the last is on (rule varnish-edge). */
    public function sheens(StepSet $steps, Piece $piece, Sheens $sheens): void
    {
        foreach ($sheens->caps() as $purpose => [$ids, $place, $edges]) {
            if ($this->pins->present(Operation::Mask, $purpose, $piece->id, ...$ids) !== false) {
                $medium = $this->pins->find(static fn (Pin $p): ?Medium => $p->medium, Operation::Mask, $purpose, $piece->id, ...$ids) ?? self::mediumOf($edges, $this->house);
                $this->pair($steps, $piece, $purpose, $ids, $medium, Rank::sheen($place) - 1, Rank::bareSheen($place), '');
            }
        }
    }

    /** @param  list<string>  $ids */
    private function pair(StepSet $steps, Piece $piece, string $purpose, array $ids, Medium $medium, int $on, int $off, string $phase, int $n = 1, int $of = 1): void
    {
        $steps->add(new Step($piece->id, Operation::Mask, $purpose, $n, $of, $piece->id, $ids, $on, $piece->position, $phase, medium: $medium));
        $steps->add(new Step($piece->id, Operation::Unmask, $purpose, $n, $of, $piece->id, $ids, $off, $piece->position, $phase, medium: $medium));
        if ($medium === Medium::LiquidMask) {
            $steps->add(new Step($piece->id, Operation::Score, $purpose, 1, 1, $piece->id, $ids, $off - 1, $piece->position, $phase, medium: $medium));
        }
    }

    /**
     * Areas sprayed while the mask is on.
     *
     * @param  list<string>  $order  colours of the piece, first sprayed first
     * @param  array<string, non-empty-list<Area>>  $byColour
     * @return list<string>
     */
    private function later(array $order, int $i, array $byColour): array
    {
        $ids = [];
        foreach (array_slice($order, $i + 1) as $colour) {
            array_push($ids, ...array_map(static fn (Area $a): string => $a->id, $byColour[$colour]));
        }

        return $ids;
    }

    /**
     * The medium its edges to what is sprayed later ask for: putty for soft ones, vinyl tape round tight hard
     * ones, else paper tape; film over all of it where the house rule has no other cover.
     *
     * @param  list<string>  $ids
     * @param  list<string>  $later
     */
    private function medium(array $ids, array $later): Medium
    {
        return self::mediumOf(array_values(array_filter($this->kit->edgesRound($ids), static fn (Edge $e): bool => array_intersect($e->areas, $later) !== [])), $this->house);
    }

    /**
     * @param  list<Edge>  $edges  along one mask
     */
    public static function mediumOf(array $edges, HouseRules $house): Medium
    {
        $soft = $hard = $tight = false;
        foreach ($edges as $edge) {
            $soft = $soft || $edge->kind !== EdgeKind::Hard;
            $hard = $hard || $edge->kind === EdgeKind::Hard;
            $tight = $tight || ($edge->kind === EdgeKind::Hard && ($edge->curve === Curve::Compound || $edge->curve === Curve::Fiddly));
        }

        return match (true) {
            $soft && ! $hard && $house->says('camouflage', 'freehand') => Medium::HeldCard,
            $soft && ! $hard && $house->says('camouflage', 'held-off') => Medium::Putty,
            ! $soft && $house->says('cover', 'film') => Medium::CutFilm,
            $tight => Medium::VinylTape,
            default => Medium::PaperTape,
        };
    }
}
