<?php

declare(strict_types=1);

namespace AmberStep\Core\Drying;

use AmberStep\Core\Log\AreaState;
use AmberStep\Core\Log\CabinetStay;
use AmberStep\Core\Log\Coat;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Log\Learned;
use AmberStep\Core\Material\DriesBy;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\WaitKind;

/** Works out the waits of layers, glue, filler and water (handbook 4, Waits are work). */
final class Waits
{
    /** Long enough that no plan reaches it: what never ends. */
    public const NEVER_MINUTES = 5 * 365 * 1440;

    /** @var array<string, Wait> */
    private array $known = [];

    public function __construct(public readonly WorkClock $clock, private readonly Learned $learned)
    {
    }

    /** A wait of a layer of paint on an area. */
    public function of(Layer $layer, WaitKind $kind, AreaState $state): Wait
    {
        $factor = $layer->product === null ? 1.0 : $this->learned->factor($layer->product->id, $kind->value);
        $key = $layer->mark.'#'.$kind->value.'#'.($factor === 1.0 ? '' : $factor.'#').($state->stays === [] ? '' : $state->staysMark());

        return $this->known[$key] ??= $this->work($layer, $kind, $state);
    }

    /**
     * A wait that follows the air alone: glue, filler, decals, wash water, liquid mask.
     *
     * @param  list<CabinetStay>  $stays
     * @param  string|null  $began  the event or planned step that began it
     * @param  string|null  $learnedAs  subject and kind of what was learned of it, such as "glue:epoxy/handle"
     */
    public function plain(int $fromEpoch, float $typicalMinutes, DriesBy $by, array $stays = [], ?string $began = null, ?string $learnedAs = null): Wait
    {
        $learned = $learnedAs === null ? 1.0 : $this->learned->factor(...explode('/', $learnedAs, 2));
        $key = "{$fromEpoch}/{$typicalMinutes}/{$learned}/{$by->value}/{$began}/".implode(',', array_map(static fn (CabinetStay $s): string => $s->mark(), $stays));

        return $this->known[$key] ??= new Wait($fromEpoch, $this->clock->endOf($fromEpoch, $typicalMinutes * $learned, $by, $stays), $typicalMinutes, learnedFactor: $learned, by: $by, began: $began);
    }

    /** Minutes the product typically takes: its label's at reference conditions, else its family's. */
    public static function typical(Product $product, WaitKind $kind): ?float
    {
        $label = $product->label;
        if ($label !== null && isset($label->minutes[$kind->value])) {
            $air = new Conditions($label->temperatureC, $label->humidity);

            return $label->minutes[$kind->value] / Factors::air($product->family->figures()->driesBy, $air);
        }
        $minutes = $product->family->figures()->minutes($kind);

        return $minutes === null ? null : (float) $minutes;
    }

    private function work(Layer $layer, WaitKind $kind, AreaState $state): Wait
    {
        $last = $layer->lastCoat();
        $product = $layer->product;
        if ($product === null) {
            return new Wait($last->atEpoch, $last->atEpoch, 0, began: $last->eventId);
        }
        $wash = $layer->wash();
        // What is wiped off has no film that would hold it up; a label's figures are of the coat it is not.
        $typical = $wash?->minutes($kind) ?? self::typical($product, $kind) ?? self::NEVER_MINUTES;
        $film = $wash === null ? $this->filmFactor($layer, $product, $kind, $state) : 1.0;
        $learned = $this->learned->factor($product->id, $kind->value);
        $end = $this->clock->endOf($last->atEpoch, $typical * $film * $learned, $product->family->figures()->driesBy, $state->stays);

        return new Wait($last->atEpoch, $end, $typical, $film, $learned, $product->family->figures()->driesBy, $last->eventId);
    }

    private function filmFactor(Layer $layer, Product $product, WaitKind $kind, AreaState $state): float
    {
        $reference = $product->family->figures()->referenceFilmMicrons;
        if ($kind->followsTheCoat()) {
            return Factors::film($layer->lastCoat()->filmMicrons / $reference);
        }
        $film = 0.0;
        foreach ($this->sinceTapeSafe($layer, $product, $state) as $coat) {
            $film += $coat->filmMicrons;
        }

        return Factors::film($film / (3 * $reference));
    }

    /**
     * The coats of a layer that count as one film: those since it was last tape-safe.
     *
     * @return list<Coat>
     */
    private function sinceTapeSafe(Layer $layer, Product $product, AreaState $state): array
    {
        if (count($layer->coats) === 1 || $layer->lastCoat()->atEpoch - $layer->firstCoat()->atEpoch < 3600) {
            return $layer->coats;
        }
        $group = [];
        $film = 0.0;
        $figures = $product->family->figures();
        $typical = self::typical($product, WaitKind::TapeSafe) ?? self::NEVER_MINUTES;
        foreach ($layer->coats as $coat) {
            $previous = $group[count($group) - 1] ?? null;
            if ($previous !== null) {
                $work = $typical * Factors::film($film / (3 * $figures->referenceFilmMicrons));
                if ($coat->atEpoch >= $this->clock->endOf($previous->atEpoch, $work, $figures->driesBy, $state->stays)) {
                    $group = [];
                    $film = 0.0;
                }
            }
            $group[] = $coat;
            $film += $coat->filmMicrons;
        }

        return $group;
    }
}
