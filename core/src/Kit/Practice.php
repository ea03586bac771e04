<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** How the border of two colours was made on the real subject. */
enum Practice: string
{
    case Sprayed = 'sprayed';
    case Taped = 'taped';
}
