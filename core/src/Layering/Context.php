<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Drying\Room;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Experience;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\Shelf;

/** All a rule may look at. */
final readonly class Context
{
    public function __construct(
        public Kit $kit,
        public HouseRules $house,
        public Shelf $shelf,
        public Breakdown $breakdown,
        public StepSet $steps,
        public ModelState $surface,
        public Room $room,
        public int $nowEpoch,
        public Experience $experience = new Experience,
    ) {
    }

    public function areaName(string $areaId): string
    {
        return $this->kit->areasById[$areaId]->name ?? 'something';
    }

    public function pieceName(string $id): string
    {
        return $this->breakdown->pieceAt($id)->name ?? 'the piece';
    }

    /** The name of an area, joint, flaw, feature or piece. */
    public function nameOf(string $id): string
    {
        return isset($this->kit->partsById[$id]) || isset($this->kit->labelsById[$id]) ? $this->pieceName($id) : $this->kit->nameOf($id) ?? $this->pieceName($id);
    }
}
