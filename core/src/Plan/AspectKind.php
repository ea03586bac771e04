<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

/** How a piece stands (interface notes): told apart by shape first. */
enum AspectKind: string
{
    case Open = 'open';
    case Hold = 'hold';
    case Closing = 'closing';
    case Shut = 'shut';
    case Done = 'done';

    /** What a build shows when its pieces differ. */
    public function rank(): int
    {
        return match ($this) {
            self::Closing => 0,
            self::Open => 1,
            self::Hold => 2,
            self::Shut => 3,
            self::Done => 4,
        };
    }
}
