<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking;

/** What a mask is for where it is for no colour. */
final class MaskFor
{
    public const PANES = 'panes';

    public const BARE = 'bare';
}
