<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** The closed set of edits a fix or a user may make to a kit. */
enum EditOp: string
{
    /** Set one field of one thing. */
    case Set = 'set';
    /** Put a thing into a list: a pin, an order, a not-before, an inserted step, an acceptance, or a thing of the kit. */
    case Add = 'add';
    case Remove = 'remove';
    /** Take a position on a house rule, or none (back to the user's own). */
    case House = 'house';
}
