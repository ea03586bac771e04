<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** What drops fall from; how large they are until somebody counts them into 1 ml (handbook 4, Units). */
enum Vessel: string
{
    case Pipette = 'pipette';
    case Dropper = 'dropper';

    public function mlPerDrop(): float
    {
        return $this === self::Pipette ? 0.025 : 0.035;
    }
}
