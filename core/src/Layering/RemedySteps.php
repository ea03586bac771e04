<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Log\OpenFault;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;

/** Steps that put right what went wrong, and those the user or a fix put in. */
final class RemedySteps
{
    /** A remedy goes before everything else on its piece. */
    private const RANK = -20000;

    public static function faults(StepSet $steps, ModelState $surface, Breakdown $breakdown, LayerPlanner $layers): void
    {
        foreach ($surface->faults as $fault) {
            $piece = $breakdown->pieceAt($fault->targets[0] ?? '');
            if ($piece === null) {
                continue;
            }
            $remedy = $fault->fault->remedy($fault->seen);
            foreach ($remedy as $i => [$operation, $title, $wait]) {
                $product = $operation->leavesLayer() ? self::product($operation, $fault, $layers) : null;
                $steps->add(new Step(
                    $piece->id, $operation, 'fault+'.$fault->eventId, $i + 1, count($remedy), $piece->id, $fault->targets, self::RANK + $i, $piece->position,
                    product: $product, coatKind: $operation->leavesLayer() ? ($i === 0 ? CoatKind::Light : CoatKind::Mist) : null,
                    title: $title, waitsFor: $wait, waitFactor: $fault->fault->waitFactor(), fault: $fault->fault,
                ));
            }
        }
    }

    /** What goes on again: what lies there of its kind, else what the shelf has for it; never varnish for paint, nor under primer. */
    private static function product(Operation $operation, OpenFault $fault, LayerPlanner $layers): Product
    {
        $known = $layers->known($fault->seen->product($operation));

        return match (true) {
            $known !== null => $known,
            $operation === Operation::Prime => $layers->anyPrimer(),
            $operation->isVarnish() => $layers->anyVarnish(),
            default => $layers->wantedOn($fault->targets[0] ?? '') ?? $layers->anyPrimer(),
        };
    }

    public static function inserted(StepSet $steps, Kit $kit, Breakdown $breakdown, LayerPlanner $layers, HouseRules $house): void
    {
        foreach ($kit->inserted as $inserted) {
            $target = $inserted->targets[0] ?? '';
            $piece = $breakdown->pieceAt($target);
            if ($piece === null) {
                continue;
            }
            if ($inserted->operation === Operation::Cabinet && $inserted->cabinetC === null) {
                if ($house->says('cabinet', 'none')) {
                    continue;
                }
                $inserted = $inserted->at(min($piece->highestCabinetC(), (float) $house->position('cabinet')));
            }
            $joint = isset($kit->jointsById[$target]) ? $target : null;
            for ($n = 1; $n <= $inserted->coats; $n++) {
                $steps->add(self::step($inserted, $n, $joint, $piece, $layers, self::rankFor($inserted, $steps)));
            }
        }
    }

    private static function step(Inserted $inserted, int $n, ?string $joint, Piece $piece, LayerPlanner $layers, int $rank): Step
    {
        $operation = $inserted->operation;

        return new Step(
            $joint ?? $piece->id, $operation, 'insert+'.$inserted->id, $n, $inserted->coats, $piece->id, $inserted->targets, $rank, $piece->position,
            jointId: $joint,
            product: $operation->leavesLayer() ? $layers->known($inserted->product) ?? ($operation === Operation::Prime ? $layers->anyPrimer() : $layers->anyVarnish()) : null,
            coatKind: $operation->leavesLayer() ? ($inserted->coatKind ?? CoatKind::Light) : null,
            title: $inserted->title, waitsFor: $inserted->waitsFor ?? ($operation->sands() ? WaitKind::SandSafe : null), inserted: $inserted,
        );
    }

    /** Just in front of the steps it goes before; first of all where it names none. */
    private static function rankFor(Inserted $inserted, StepSet $steps): int
    {
        $rank = null;
        if ($inserted->before !== null) {
            foreach ($inserted->targets as $target) {
                foreach ($steps->on($target) as $step) {
                    if (self::isBefore($inserted, $step) && ($rank === null || $step->rank < $rank)) {
                        $rank = $step->rank;
                    }
                }
            }
        }

        return match (true) {
            $rank !== null => $rank - 1,
            $inserted->operation->leavesLayer() && $inserted->before !== null => Rank::of($inserted->operation),
            default => self::RANK,
        };
    }

    /** Whether a step is one the inserted step goes in front of. */
    public static function isBefore(Inserted $inserted, Step $step): bool
    {
        [$operation, $purpose] = [...explode('/', (string) $inserted->before, 2), null];

        return $step->inserted?->id !== $inserted->id && $step->operation->value === $operation && ($purpose === null || $step->counted() === $purpose);
    }
}
