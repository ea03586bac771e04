<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Log\Event;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Severity;

/**
 * Something that was done while a hold forbade it. It is recorded, never refused: it happened.
 *
 * @phpstan-type BreachRow array{string, int, string, list<string>, string, string, string, int, string, array{string, string, string, string}|null}
 */
final readonly class Breach
{
    /**
     * @param  string  $what  was done, such as "colour"
     * @param  list<string>  $targets  it was done to
     * @param  string  $rule  that forbade it
     * @param  string  $heldTarget  where the hold stood
     * @param  int  $untilEpoch  when it would have been over
     * @param  Misdeed|null  $said  what was wrong with it, where no hold forbade it
     */
    public function __construct(
        public string $eventId,
        public int $atEpoch,
        public string $what,
        public array $targets,
        public string $rule,
        public HoldKind $kind,
        public string $heldTarget,
        public int $untilEpoch,
        public string $because,
        public ?Misdeed $said = null,
    ) {
    }

    public static function of(Event $event, Hold $hold): self
    {
        return new self($event->id, $event->atEpoch, ($event->operation ?? $event->kind)->value, $event->targets, $hold->rule, $hold->kind, $hold->target, $hold->untilEpoch, $hold->because);
    }

    public static function misdeed(Event $event, string $rule, Misdeed $said): self
    {
        return new self($event->id, $event->atEpoch, ($event->operation ?? $event->kind)->value, $event->targets, $rule, HoldKind::Ready, $said->target, $event->atEpoch, '', $said);
    }

    /** @return BreachRow */
    public function toArray(): array
    {
        return [$this->eventId, $this->atEpoch, $this->what, $this->targets, $this->rule, $this->kind->value, $this->heldTarget, $this->untilEpoch, $this->because, $this->said === null ? null : [$this->said->severity->value, $this->said->title, $this->said->why, $this->said->remedy]];
    }

    /** @param  BreachRow  $plain  as it was written */
    public static function fromArray(array $plain): self
    {
        [$event, $at, $what, $targets, $rule, $kind, $held, $until, $because, $said] = $plain;

        return new self($event, $at, $what, $targets, $rule, HoldKind::from($kind), $held, $until, $because, $said === null ? null : new Misdeed(Severity::from($said[0]), $said[1], $said[2], $held, $said[3]));
    }
}
