<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

/** How much an order matters. Rathers give way to a circle, lightest first; musts never. */
enum Strength: int
{
    case SameColour = 1;
    case LightThenDark = 2;
    case BookletOrder = 3;
    case FragileLast = 4;
    case SameColourThatMustMatch = 5;
    /** The user's own "this before that": gives way to the trade's musts with a stop. */
    case User = 8;
    case Must = 9;
}
