<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** How a coat is laid, and how much film it leaves against the family's reference coat. */
enum CoatKind: string
{
    case Mist = 'mist';
    case Light = 'light';
    case Wet = 'wet';
    case Heavy = 'heavy';
    case Brushed = 'brushed';

    /** Dry film in µm for one coat of a family whose reference film is given in µm. */
    public function filmMicrons(float $referenceFilmMicrons): float
    {
        return match ($this) {
            self::Mist => 0.5 * $referenceFilmMicrons,
            self::Light => $referenceFilmMicrons,
            self::Wet => 1.5 * $referenceFilmMicrons,
            self::Heavy => 2 * $referenceFilmMicrons,
            self::Brushed => 20.0,
        };
    }
}
