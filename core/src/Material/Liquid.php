<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** The columns of "what attacks what": the strongest liquid in a mix or on a wipe. */
enum Liquid: string
{
    case WaterAcrylic = 'water';
    case AlcoholAcrylic = 'alcohol';
    case Lacquer = 'lacquer thinner';
    case WhiteSpirit = 'white spirit';
    case TwoPart = 'two-part thinner';
}
