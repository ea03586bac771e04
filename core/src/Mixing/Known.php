<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

/** The one amount that is known: all others follow from it (handbook 4, Parts). */
enum Known: string
{
    /** The surface and its coats. */
    case Area = 'area';
    /** All in the cup. */
    case Total = 'total';
    /** One part: measured, or what is left in a jar. */
    case Part = 'part';
}
