<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;

/** Makes all steps of a build, done or not: what there is to do does not depend on what was done. */
final class StepBuilder
{
    private readonly StepSet $steps;

    private readonly LayerPlanner $layers;

    private readonly ColourOrder $colours;

    private readonly Pins $pins;

    public function __construct(
        private readonly Kit $kit,
        private readonly HouseRules $house,
        private readonly Shelf $shelf,
        private readonly Breakdown $breakdown,
        private readonly ModelState $surface,
        private readonly int $nowEpoch,
    ) {
        $this->steps = new StepSet;
        $this->pins = new Pins($kit);
        $choice = new Choice($shelf, $house);
        $primers = new PrimerChoice($kit, $house, $shelf, $choice, $this->pins, new Hiding($house), $surface);
        $this->layers = new LayerPlanner($kit, $house, $shelf, $choice, $this->pins, $primers);
        $this->colours = new ColourOrder(new ModelColours($kit, $house, $shelf, $breakdown, $surface, asBegun: false, primers: $primers), $house);
    }

    public function build(): StepSet
    {
        foreach ($this->kit->joints as $joint) {
            JointSteps::add($this->steps, $joint, $this->breakdown);
        }
        foreach ($this->breakdown->pieces as $piece) {
            $this->piece($piece);
        }
        PlaceSteps::add($this->steps, $this->kit, $this->breakdown, $this->surface, $this->house, $this->layers);
        BuildSteps::add($this->steps, $this->kit, $this->breakdown);
        BuildSteps::discard($this->steps, $this->surface, $this->shelf, $this->breakdown, $this->nowEpoch);
        ScrapeSteps::add($this->steps, $this->kit, $this->breakdown, $this->surface);
        RemedySteps::faults($this->steps, $this->surface, $this->breakdown, $this->layers);
        RemedySteps::inserted($this->steps, $this->kit, $this->breakdown, $this->layers, $this->house);

        return $this->steps;
    }

    private function piece(Piece $piece): void
    {
        PartSteps::add($this->steps, $piece);
        $phases = [];
        foreach ($piece->areas as $area) {
            if ($area->isPainted()) {
                $phases[Phase::of($area->id, $this->breakdown)][] = $area;
            }
        }
        ksort($phases);
        $masks = new MaskSteps($this->kit, $this->house, $this->breakdown, $this->pins);
        foreach ($phases as $phase => $areas) {
            $this->prepare($piece, $phase, $areas);
            $masks->faces($this->steps, $piece, $phase, $areas);
            $places = $this->colours->onPiece($areas, $this->surface, $phase !== '');
            $sheens = $this->coats($piece, $phase, $areas, $places);
            $masks->colours($this->steps, $piece, $phase, $areas, $places);
            if ($phase === '') {
                $masks->sheens($this->steps, $piece, $sheens);
                $masks->bare($this->steps, $piece);
                $masks->openings($this->steps, $piece);
                BuildSteps::scuff($this->steps, $piece, $areas, $this->surface, $this->nowEpoch);
                InspectSteps::add($this->steps, $piece, $areas, $this->surface, $this->house);
                (new DryingSteps($this->house))->add($this->steps, $piece, array_map(static fn (Area $a): string => $a->id, $areas));
            }
        }
    }

    /** @param  non-empty-list<Area>  $areas */
    private function prepare(Piece $piece, string $phase, array $areas): void
    {
        $ids = array_map(static fn (Area $a): string => $a->id, $areas);
        $mark = $phase === '' ? '' : '+'.$phase;
        $cleaning = ($phase === '' && Bathing::isNever($piece, $this->kit, $this->breakdown)) || PartSteps::washedFirst($piece) ? Operation::Wipe : Operation::Wash;
        $n = $this->washes($ids, $cleaning);
        $this->steps->add(new Step($piece->id, $cleaning, 'all'.$mark, $n, $n, $piece->id, $ids, Rank::of($cleaning, $phase), $piece->position, $phase));
        $this->abrade($piece, $phase, $areas, $mark);
        if ($phase === '') {
            // A single moulding may stay on its sprue, which then is its holder (house rule).
            $onSprue = count($piece->parts) === 1 && $this->house->says('sprue', 'on');
            $operation = $onSprue ? Operation::TouchUp : Operation::Mount;
            $purpose = $onSprue ? 'gates' : 'all';
            $this->steps->add(new Step($piece->id, $operation, $purpose, 1, 1, $piece->id, [$piece->id], Rank::of($operation), $piece->position));
        }
    }

    /**
     * Bare metal is keyed before primer where the house rule asks for it.
     *
     * @param  non-empty-list<Area>  $areas
     */
    private function abrade(Piece $piece, string $phase, array $areas, string $mark): void
    {
        $metal = array_values(array_filter($areas, fn (Area $a): bool => $this->layers->substrate($a)->isMetal()));
        if ($metal !== [] && ! $this->house->says('etch', 'lacquer-primer')) {
            $ids = array_map(static fn (Area $a): string => $a->id, $metal);
            $this->steps->add(new Step($piece->id, Operation::Abrade, 'all'.$mark, 1, 1, $piece->id, $ids, Rank::of(Operation::Abrade, $phase), $piece->position, $phase));
        }
    }

    /**
     * One cleaning, and another each time bare plastic was sanded since.
     *
     * @param  list<string>  $ids
     */
    private function washes(array $ids, Operation $cleaning): int
    {
        $most = 0;
        $needed = false;
        foreach ($ids as $id) {
            $state = $this->surface->area($id);
            $most = max($most, $state->count($cleaning, 'all'));
            $needed = $needed || ! $state->isClean();
        }

        return max(1, $most + ($needed ? 1 : 0));
    }

    /**
     * @param  non-empty-list<Area>  $areas
     * @param  array<string, int>  $places
     */
    private function coats(Piece $piece, string $phase, array $areas, array $places): Sheens
    {
        $groups = [];
        $all = $this->layers->layers($areas, $piece);
        $sheens = new Sheens($this->kit, $all);
        foreach ($all as $areaId => $layers) {
            foreach ($layers as $wanted) {
                $key = $wanted->operation->value.'/'.$wanted->purpose;
                $groups[$key] ??= [$wanted, []];
                // Areas of one piece and colour are sprayed together: the one that wants most coats decides.
                $known = $groups[$key][0];
                $most = $wanted->coats > $known->coats ? $wanted : $known;
                // A mist that one of them asks for first hurts none of the others.
                $mist = $wanted->operation->isVarnish() && in_array(CoatKind::Mist, [$wanted->first, $known->first], true);
                $groups[$key][0] = $mist ? new Wanted($most->operation, $most->purpose, $most->product, $most->coats, CoatKind::Mist, $most->rest) : $most;
                $groups[$key][1][] = $areaId;
            }
        }
        foreach ($groups as [$wanted, $ids]) {
            if ($wanted->operation === Operation::Final && $sheens->isBrushed($wanted->purpose)) {
                $wanted = new Wanted($wanted->operation, $wanted->purpose, $wanted->product, 1, CoatKind::Brushed, CoatKind::Brushed);
            }
            $rank = $wanted->operation === Operation::Final && $phase === '' ? $sheens->rank($wanted->purpose) : Rank::of($wanted->operation, $phase, $this->colourPlace($wanted, $ids, $places));
            $this->coat($piece, $phase, $wanted, $ids, $rank);
        }

        return $sheens;
    }

    /** @param  list<string>  $ids */
    private function coat(Piece $piece, string $phase, Wanted $wanted, array $ids, int $rank): void
    {
        $purpose = $wanted->purpose.($phase === '' ? '' : '+'.$phase);
        for ($n = 1; $n <= $wanted->coats; $n++) {
            $this->steps->add(new Step(
                $piece->id, $wanted->operation, $purpose, $n, $wanted->coats, $piece->id, $ids,
                $rank, $piece->position, $phase,
                product: $this->asMixed($wanted), coatKind: $wanted->operation->leavesLayer() ? $wanted->kind($n) : null,
                thinned: ($wanted->operation === Operation::Colour && $this->layers->isThinned($wanted->product)) || ($n === $wanted->coats && $this->takesExtraThinner($wanted, $piece, $ids)),
            ));
        }
    }

    /**
     * Pinned: the last coat thinner than the others, so that it flows out (rule late-thinner).
     *
     * @param  list<string>  $ids
     */
    private function takesExtraThinner(Wanted $wanted, Piece $piece, array $ids): bool
    {
        foreach ($this->kit->pins as $pin) {
            if ($pin->extraThinner && $pin->concerns($wanted->operation, $wanted->purpose, $piece->id, ...$ids)) {
                return true;
            }
        }

        return false;
    }

    /** Enamel with its hardener in, where the house rule asks for it; a wash is worked for hours and has none. */
    private function asMixed(Wanted $wanted): ?Product
    {
        return $wanted->operation->sprays() && $this->house->says('hardener', 'yes') ? $wanted->product?->hardened() : $wanted->product;
    }

    /**
     * @param  list<string>  $ids
     * @param  array<string, int>  $places
     */
    private function colourPlace(Wanted $wanted, array $ids, array $places): int
    {
        if ($wanted->operation === Operation::Colour) {
            return $places[$wanted->purpose] ?? 0;
        }
        if ($wanted->operation !== Operation::Ground) {
            return 0;
        }
        $places = array_map(fn (string $id): int => $places[(string) $this->kit->areasById[$id]->intent->colour] ?? 0, $ids);

        return $places === [] ? 0 : min($places);
    }
}
