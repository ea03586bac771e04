<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** What has to leave, or happen, for a thing to be dry (handbook 2 and 4, Waits are work). */
enum DriesBy: string
{
    case Water = 'water leaving';
    case Solvent = 'solvent leaving';
    case Oxygen = 'oxygen';
    case CrossLinking = 'cross-linking';
    /** Sets by itself: neither warmth nor moisture changes the wait (superglue with accelerator). */
    case Itself = 'itself';

    /** Dries by leaving: tape-safe ends its sensitive time; what reacts is sensitive until cured. */
    public function leaves(): bool
    {
        return $this === self::Water || $this === self::Solvent;
    }
}
