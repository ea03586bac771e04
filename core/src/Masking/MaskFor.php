<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking;

/** What a mask is for where it is for no colour. */
final class MaskFor
{
    public const PANES = 'panes';

    public const BARE = 'bare';

    /** Of an inside that is finished and lies open. */
    public const OPENING = 'opening';

    /** Whether a mask is on from before the first paint to after the last, for no colour of its own. */
    public static function all(string $purpose): bool
    {
        return in_array($purpose, [self::PANES, self::BARE, self::OPENING], true);
    }
}
