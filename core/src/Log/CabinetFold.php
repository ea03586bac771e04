<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Work\Operation;

/** Folds what goes into the drying cabinet and comes out of it. */
final readonly class CabinetFold
{
    public function __construct(private Kit $kit, private ModelState $state)
    {
    }

    public function into(Event $event): void
    {
        foreach ($event->targets as $target) {
            $state = $this->state->area($target);
            $state->note(Operation::Cabinet, $event->purpose === '' ? 'in' : Fold::counted($event->purpose), $event->atEpoch);
            $state->stays[] = new CabinetStay($event->atEpoch, null, $event->cabinetC ?? 45);
        }
    }

    /** What is worked on is out of the cabinet, and with it all that went in with it. */
    public function takeOut(Event $event): void
    {
        foreach ($event->targets as $target) {
            $last = isset($this->kit->areasById[$target]) ? $this->state->area($target)->openStay() : null;
            if ($last === null) {
                continue;
            }
            foreach ($this->state->areas() as $state) {
                if ($state->openStay()?->mark() === $last->mark()) {
                    array_pop($state->stays);
                    $state->stays[] = new CabinetStay($last->fromEpoch, $event->atEpoch, $last->temperatureC);
                }
            }
        }
    }

    public function outOf(Event $event): void
    {
        foreach ($event->targets as $target) {
            $state = $this->state->area($target);
            $last = array_pop($state->stays);
            if ($last !== null) {
                $state->stays[] = new CabinetStay($last->fromEpoch, $last->untilEpoch ?? $event->atEpoch, $last->temperatureC);
            }
        }
    }
}
