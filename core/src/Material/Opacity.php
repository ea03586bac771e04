<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** How well a colour covers; until hiding is computed, the light coats it is planned with. */
enum Opacity: string
{
    case Opaque = 'opaque';
    case Good = 'good';
    case Fair = 'fair';
    case Weak = 'weak';

    /** Coats planned, a mist and lights; never fewer than two (handbook 4, Colour). */
    public function coats(): int
    {
        return match ($this) {
            self::Opaque, self::Good => 2,
            self::Fair => 3,
            self::Weak => 4,
        };
    }

    /** Scattering of a reference coat, against its absorption (handbook 4, Colour). */
    public function scattering(): float
    {
        return match ($this) {
            self::Opaque => 1.2,
            self::Good => 0.8,
            self::Fair => 0.6,
            self::Weak => 0.45,
        };
    }
}
