<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** The demarcation between two colours. */
enum EdgeKind: string
{
    case Hard = 'hard';
    case Soft = 'soft';
    case Feathered = 'feathered';
}
