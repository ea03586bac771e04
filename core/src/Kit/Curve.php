<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** How a surface or an edge bends; it decides the mask medium and its minutes. */
enum Curve: string
{
    case Flat = 'flat';
    case Bent = 'bent';
    case Compound = 'compound';
    case Fiddly = 'fiddly';
}
