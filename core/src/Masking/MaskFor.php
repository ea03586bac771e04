<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking;

use AmberStep\Core\Material\Sheen;

/** What a mask is for where it is for no colour. */
final class MaskFor
{
    public const PANES = 'panes';

    public const BARE = 'bare';

    /** Of an inside that is finished and lies open. */
    public const OPENING = 'opening';

    /** Of what has its shine already, while another is sprayed beside it. */
    public const AS_IT_IS = 'as-it-is';

    /** Whether a mask keeps one sheen from another (rule varnish-edge): its purpose is the sheen it covers. */
    public static function sheen(string $purpose): bool
    {
        return $purpose === self::AS_IT_IS || Sheen::tryFrom($purpose) !== null;
    }

    /** Whether a mask is on from before the first paint to after the last, for no colour of its own. */
    public static function all(string $purpose): bool
    {
        return in_array($purpose, [self::PANES, self::BARE, self::OPENING], true);
    }
}
