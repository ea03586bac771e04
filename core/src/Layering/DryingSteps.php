<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/**
 * Putting a piece where it dries sooner, where the house rule asks for it: before the waits that are long, to
 * be masked, to take decals, to be polished. Never with a mask on: its glue bakes on.
 */
final readonly class DryingSteps
{
    /** °C of a place that is warm and nothing more: the upper end of what is sprayed in. */
    private const WARM_PLACE_C = 28.0;

    public function __construct(private HouseRules $house)
    {
    }

    /** @param  list<string>  $ids  painted areas of the piece's main phase, all of its steps made */
    public function add(StepSet $steps, Piece $piece, array $ids): void
    {
        $celsius = $this->celsius($piece);
        if ($celsius === null) {
            return;
        }
        $own = $steps->ofPiece($piece->id);
        $panes = array_filter($own, static fn (Step $s): bool => $s->operation === Operation::Mask && in_array($s->purpose, [MaskFor::PANES, MaskFor::BARE], true));
        if ($panes !== []) {
            return;
        }
        foreach ($own as $step) {
            if ($step->phase === '' && ! $step->isRemedy() && $this->waitsLong($step, $own)) {
                $steps->add(new Step($piece->id, Operation::Cabinet, $step->operation->value, 1, 1, $piece->id, $ids, $step->rank - 1, $piece->position, cabinetC: $celsius));
            }
        }
    }

    /** Null where it stays in the room. */
    private function celsius(Piece $piece): ?float
    {
        return match (true) {
            $this->house->says('drying', 'room') => null,
            $this->house->says('drying', 'warm-place') => min(self::WARM_PLACE_C, $piece->highestCabinetC()),
            $this->house->says('cabinet', 'none') => null,
            default => min((float) $this->house->position('cabinet'), $piece->highestCabinetC()),
        };
    }

    /**
     * The first mask, the decals and the polish: what cannot be done before the paint is hard.
     *
     * @param  list<Step>  $own
     */
    private function waitsLong(Step $step, array $own): bool
    {
        if ($step->operation === Operation::Decal || $step->operation === Operation::Polish) {
            return true;
        }
        $masks = array_filter($own, static fn (Step $s): bool => $s->operation === Operation::Mask && $s->phase === '' && ! $s->isRemedy());
        $ranks = array_map(static fn (Step $s): int => $s->rank, $masks);

        return $step->operation === Operation::Mask && $step->rank === min($step->rank, ...array_values($ranks));
    }
}
