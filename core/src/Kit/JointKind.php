<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** Where parts meet: a seam must vanish, a line belongs there. */
enum JointKind: string
{
    case Seam = 'seam';
    case Line = 'line';
}
