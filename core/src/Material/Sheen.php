<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** How a surface shines, dullest first. */
enum Sheen: string
{
    case Matt = 'matt';
    case Satin = 'satin';
    case SemiGloss = 'semi-gloss';
    case Gloss = 'gloss';

    /** Smooth enough for a decal to lie without trapped air, and for a pin wash to run. */
    public function isGlossy(): bool
    {
        return $this === self::Gloss || $this === self::SemiGloss;
    }
}
