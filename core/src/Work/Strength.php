<?php

declare(strict_types=1);

namespace AmberStep\Core\Work;

/** How much an order matters. Rathers give way to a circle, lightest first; musts never. */
enum Strength: int
{
    case SameColour = 1;
    case LightThenDark = 2;
    case Fit = 3;
    case BookletOrder = 4;
    case FragileLast = 5;
    case SameColourThatMustMatch = 6;
    /** The user's own "this before that": gives way to the trade's musts with a stop. */
    case User = 8;
    case Must = 9;
}
