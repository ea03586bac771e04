<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Log\StateDocument;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Step\Breach;

/**
 * A log folded up to one of its events: the state of the model then, and what was done too early until then. It holds
 * for the kit, the shelf, the experience and the rules it was made with; whoever keeps it sees to that.
 *
 * @phpstan-import-type StateRow from StateDocument
 * @phpstan-import-type BreachRow from Breach
 *
 * @phpstan-type CheckpointRow array{at: int, recorded: int, event: string, state: StateRow, breaches: list<BreachRow>}
 */
final readonly class Checkpoint
{
    /**
     * @param  StateRow  $state  of the model, as plain arrays
     * @param  list<BreachRow>  $breaches  as plain arrays
     */
    private function __construct(public int $atEpoch, public int $recordedEpoch, public string $eventId, private array $state, private array $breaches)
    {
    }

    /** @param  list<Breach>  $breaches */
    public static function after(Event $last, ModelState $state, array $breaches): self
    {
        return new self($last->atEpoch, $last->recordedEpoch, $last->id, StateDocument::write($state), array_map(static fn (Breach $b): array => $b->toArray(), $breaches));
    }

    /** Whether an event lies in what was folded, by its place in the log. */
    public function covers(Event $event): bool
    {
        return [$event->atEpoch, $event->recordedEpoch, $event->id] <= [$this->atEpoch, $this->recordedEpoch, $this->eventId];
    }

    /**
     * Whether it still holds once events have come in since: none of them before its end, none that takes back one
     * it rests on.
     *
     * @param  iterable<Event>  $since
     * @param  callable(string): ?Event  $find  the event of an id
     */
    public function holds(iterable $since, callable $find): bool
    {
        foreach ($since as $event) {
            if ($event->kind !== EventKind::TakeBack) {
                if ($this->covers($event)) {
                    return false;
                }

                continue;
            }
            $gone = $find((string) $event->takesBack);
            if ($gone === null || $gone->kind === EventKind::TakeBack || $this->covers($gone)) {
                return false;
            }
        }

        return true;
    }

    public function state(Shelf $shelf): ModelState
    {
        return StateDocument::read($this->state, $shelf);
    }

    /** @return list<Breach> */
    public function breaches(): array
    {
        return array_map(Breach::fromArray(...), $this->breaches);
    }

    /** @return CheckpointRow */
    public function toArray(): array
    {
        return ['at' => $this->atEpoch, 'recorded' => $this->recordedEpoch, 'event' => $this->eventId, 'state' => $this->state, 'breaches' => $this->breaches];
    }

    /** @param  CheckpointRow  $plain  as it was written */
    public static function fromArray(array $plain): self
    {
        return new self($plain['at'], $plain['recorded'], $plain['event'], $plain['state'], $plain['breaches']);
    }
}
