<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** When a paint is put into a gun. */
enum Loading: string
{
    /** Once nothing else is left to be done. */
    case AsItComes = 'as-it-comes';

    /** Besides, not while the paint in another gun flashes. */
    case Patient = 'patient';

    /** Besides, only once all is ready that takes it, unless hands would be idle for longer than an afternoon. */
    case Whole = 'whole';

    /** When it is its turn by rank, before what is done by hand and comes after it. */
    case InTurn = 'in-turn';
}
