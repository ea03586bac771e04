<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Log\Event;

/** Something that was done while a hold forbade it. It is recorded, never refused: it happened. */
final readonly class Breach
{
    public function __construct(public Event $event, public Hold $hold)
    {
    }
}
