<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;

/** Looking a piece over, round after round where the house rule wants it clean. */
final class InspectSteps
{
    /**
     * Rounds of looking over: after primer, before gloss, before the final coat (rule inspect-between).
     *
     * @param  non-empty-list<Area>  $areas
     */
    public static function add(StepSet $steps, Piece $piece, array $areas, ModelState $surface, HouseRules $house): void
    {
        if ($house->says('inspection', 'none')) {
            return;
        }
        $ids = array_map(static fn (Area $a): string => $a->id, $areas);
        $wanted = $house->says('inspection', 'one') ? [Operation::Prime] : [Operation::Prime, Operation::Gloss, Operation::Final];
        foreach ($wanted as $operation) {
            if ($steps->last($ids[0], $operation) === null) {
                continue;
            }
            $rank = $operation === Operation::Prime ? Rank::of(Operation::Inspect) : Rank::inspectBefore($operation);
            $steps->add(new Step($piece->id, Operation::Inspect, $operation->value, 1, 1, $piece->id, $ids, $rank, $piece->position));
        }
        if ($house->says('inspection', 'until-clean')) {
            self::rounds($steps, $piece, $ids, $surface, $house);
        }
    }

    /**
     * A round that found something is followed by cutting, spot priming and another round.
     *
     * @param  list<string>  $ids
     */
    private static function rounds(StepSet $steps, Piece $piece, array $ids, ModelState $surface, HouseRules $house): void
    {
        $round = 1;
        foreach ($surface->inspections[$ids[0]] ?? [] as [, $found, $before]) {
            if ($before !== Operation::Prime->value || $found === 0) {
                continue;
            }
            $rank = Rank::of(Operation::Inspect);
            $fills = $house->says('low-spot', 'fill');
            if ($fills) {
                $steps->add(new Step($piece->id, Operation::Fill, 'round', $round, $round, $piece->id, $ids, $rank + $round - 1, $piece->position, title: "Fill what is low of the {$found} found in round {$round}"));
            }
            $steps->add(new Step($piece->id, Operation::Flat, 'round', $round, $round, $piece->id, $ids, $rank + $round, $piece->position, title: $fills ? "Cut back and spot prime the {$found} found in round {$round}" : "Sand down to the level of the {$found} found in round {$round}, spot prime"));
            $round++;
            $steps->add(new Step($piece->id, Operation::Inspect, 'prime', $round, $round, $piece->id, $ids, $rank + $round, $piece->position));
        }
    }
}
