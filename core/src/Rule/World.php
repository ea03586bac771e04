<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Drying\Waits;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\AreaState;
use AmberStep\Core\Log\ModelState;

/** The model as it is, or as it will be by then, with its clocks: what hold rules look at. */
final readonly class World
{
    public function __construct(public Kit $kit, public HouseRules $house, public Breakdown $breakdown, public ModelState $surface, public Waits $waits)
    {
    }

    public function state(string $areaId): AreaState
    {
        return $this->surface->area($areaId);
    }

    /**
     * Ids of all areas that move when a piece is handled: its own, and those of pieces already attached to it.
     *
     * @return list<string>
     */
    public function handledWith(string $pieceId): array
    {
        $pieces = [$pieceId => true];
        do {
            $before = count($pieces);
            foreach ($this->kit->joints as $joint) {
                if ($this->isAttached($joint)) {
                    [$a, $b] = $this->breakdown->sides($joint);
                    if (isset($pieces[$a->id]) || isset($pieces[$b->id])) {
                        $pieces[$a->id] = $pieces[$b->id] = true;
                    }
                }
            }
        } while (count($pieces) > $before);
        $areas = [];
        foreach (array_keys($pieces) as $id) {
            foreach ($this->breakdown->byId[$id]->areas as $area) {
                $areas[] = $area->id;
            }
        }

        return $areas;
    }

    private function isAttached(Joint $joint): bool
    {
        return ! $this->breakdown->closesBeforePaint($joint->id) && $this->surface->joint($joint->id)->closedAt !== null;
    }
}
