<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** The wash that reads on a base, by how light it is (handbook 4, Uses). */
final class WashColour
{
    /** @return array{string, string} name and why */
    public static function for(Lab $base): array
    {
        return match (true) {
            $base->l > 85 => ['mid grey', 'brown is dirt on white'],
            $base->l >= 60 => ['warm brown', 'it reads as shadow and grime on a light base'],
            $base->l >= 35 => ['dark brown to black', 'lighter would not read on a middle tone'],
            $base->l >= 20 => ['black', 'nothing else is darker than the base'],
            default => ['a lighter grey', 'on nearly black only lighter shows'],
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
