<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** How one gets at a place with abrasives. */
enum Access: string
{
    case Open = 'open';
    case Tight = 'tight';
    case Detail = 'detail';
    /** Sanding would kill what is beside it. */
    case None = 'none';

    public function word(): string
    {
        return match ($this) {
            self::Open => 'open',
            self::Tight => 'tight',
            self::Detail => 'detail beside it',
            self::None => 'cannot be sanded',
        };
    }
}
