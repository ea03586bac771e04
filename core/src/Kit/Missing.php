<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** What can be missing of an evening. */
enum Missing: string
{
    case Gun = 'gun';
    case Can = 'can';
    case Part = 'part';
}
