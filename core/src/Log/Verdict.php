<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/** What the user found when a wait was said to be over, or an inspection was done. */
enum Verdict: string
{
    case Soft = 'soft';
    case Fine = 'fine';
    case Clean = 'clean';
    case Found = 'found';
}
