<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Log\AreaState;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Misdeed;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

/** What lay open while something was sprayed beside it: panes, and finished areas across a hard edge. */
final class LaidOpen
{
    /** @return iterable<Misdeed> */
    public static function by(Step $step, World $before): iterable
    {
        if (! $step->isSprayed() || $step->phase !== '') {
            return;
        }
        $beside = self::beside($step, $before);
        foreach ($before->breakdown->byId[$step->pieceId]->areas ?? [] as $area) {
            $state = $before->state($area->id);
            if (in_array($area->id, $step->targets, true) || $state->isMasked()) {
                continue;
            }
            if ($area->isPane()) {
                yield new Misdeed(Severity::Stop, "sprayed beside {$area->name}, which lay open", 'Overspray frosts clear plastic: what dried on it is polished out.', $area->id, "Look at {$area->name} against the light: polish out what is on it");
            } elseif (isset($beside[$area->id]) && self::isFinished($area, $state)) {
                yield new Misdeed(Severity::Stop, "{$area->name} lay open while its neighbour was sprayed", ucfirst($step->operation->word()).' was sprayed at its edge, and nothing covered it.', $area->id, "Look at {$area->name} for overspray at the edge");
            }
        }
    }

    /** @return array<string, true> areas that share a hard edge with what was sprayed in another colour */
    private static function beside(Step $step, World $before): array
    {
        $beside = [];
        if (in_array($step->operation, [Operation::Colour, Operation::Ground], true) && ! $before->house->says('camouflage', 'freehand')) {
            foreach ($before->kit->edgesRound($step->targets) as $edge) {
                foreach ($edge->kind === EdgeKind::Hard ? $edge->areas : [] as $area) {
                    $beside[$area] = true;
                }
            }
        }

        return $beside;
    }

    private static function isFinished(Area $area, AreaState $state): bool
    {
        $top = $state->top();

        return $area->intent->colour !== null && $top !== null && $top->operation === Operation::Colour && $top->purpose === $area->intent->colour;
    }
}
