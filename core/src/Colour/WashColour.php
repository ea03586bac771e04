<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** The wash that reads on a base, by how light it is (handbook 4, Uses). */
final class WashColour
{
    /** @return array{string, string, string} name, why, and a swatch of it */
    public static function for(Lab $base): array
    {
        return match (true) {
            $base->l > 85 => ['mid grey', 'brown is dirt on white', '#7A7A78'],
            $base->l >= 60 => ['warm brown', 'it reads as shadow and grime on a light base', '#6B4A30'],
            $base->l >= 35 => ['dark brown to black', 'lighter would not read on a middle tone', '#2E2520'],
            $base->l >= 20 => ['black', 'nothing else is darker than the base', '#1A1A1B'],
            default => ['a lighter grey', 'on nearly black only lighter shows', '#8A8C8E'],
        };
    }

    /** CIEDE2000 to the base from which a wash reads across a table. */
    public static function reads(Lab $base, Lab $wash): string
    {
        $differs = $base->deltaE($wash);

        return match (true) {
            $differs < 6 => sprintf('hardly (ΔE %.0f)', $differs),
            $differs < 20 => sprintf('softly (ΔE %.0f)', $differs),
            default => sprintf('strongly (ΔE %.0f)', $differs),
        };
    }
}
