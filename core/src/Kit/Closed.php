<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** When a joint is closed. Undecided joints are settled by the compiler, with its reason. */
enum Closed: string
{
    case BeforePaint = 'before';
    case AfterPaint = 'after';
    case Undecided = 'undecided';
}
