<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** What a part offers to be held by. */
enum Grip: string
{
    /** An axle hole or a socket: a peg with putty goes in. */
    case Hole = 'hole';
    /** A pin, tab or stub that is glued or hidden later: a clip takes it. */
    case Tab = 'tab';
    /** A back nobody sees: it lies on a board. */
    case FlatBack = 'flat-back';
    /** Hollow from below: a stick with putty goes in. */
    case Open = 'open-below';
    case None = 'none';

    public function word(): string
    {
        return match ($this) {
            self::None => 'nothing to hold',
            default => str_replace('-', ' ', $this->value),
        };
    }
}
