<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\FoundAt;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Work\Operation;

/** Folds what is done to the places of the register, and what a look at them showed. */
final readonly class PlaceFold
{
    public function __construct(private Kit $kit, private ModelState $surface)
    {
    }

    /** Something was done to a joint or a flaw. */
    public function done(string $id, Operation $operation, string $purpose, Event $event): void
    {
        $joint = $this->surface->joint($id);
        $place = Place::find($id, $this->kit);
        $joint->done[$operation->value.'/'.$purpose][] = $event->atEpoch;
        if ($event->minutes !== null && $place !== null) {
            $this->surface->learned->hearMinutes($operation, $event->minutes, Place::minutes($operation, $place));
        }
        $joint->deeds[] = new Deed($operation, $event->atEpoch, $this->through($place), '', $event->id);
        if ($operation === Operation::Fill) {
            $joint->filledAt = $event->atEpoch;
            $joint->filledBy = $event->id;
            $joint->filler = $event->filler ?? $place?->filler();
        }
        if ($operation->sands()) {
            foreach ($this->areasOf($place) as $area) {
                $this->surface->area($area->id)->soiledAt = $event->atEpoch;
            }
        }
    }

    /** @return list<Area> */
    private function areasOf(?Place $place): array
    {
        return array_values(array_filter($this->kit->areas, static fn (Area $a): bool => in_array($a->part, $place->parts ?? [], true)));
    }

    private function through(?Place $place): FoundAt
    {
        return Through::on($place->parts ?? [], $this->kit, $this->surface);
    }

    private function lookedAt(string $id, Event $event, Verdict $verdict): void
    {
        $this->surface->joint($id)->deeds[] = new Deed($verdict, $event->atEpoch, $this->through(Place::find($id, $this->kit)), $event->purpose, $event->id, $event->note);
    }

    /** A place is judged; or a round is over, with so many places found. */
    public function judged(Event $event, Verdict $verdict): void
    {
        if (! $verdict->isOfPlace()) {
            $this->surface->rounds[] = [$event->atEpoch, $event->found ?? 0, $event->purpose, $event->id];

            return;
        }
        foreach ($event->targets as $target) {
            if (isset($this->kit->jointsById[$target]) || isset($this->kit->flawsById[$target])) {
                $this->lookedAt($target, $event, $verdict);
            }
        }
    }
}
