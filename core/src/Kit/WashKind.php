<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** What kind of thin colour is wanted over the finish. */
enum WashKind: string
{
    case Pin = 'pin';
    case Filter = 'filter';
}
