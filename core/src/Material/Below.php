<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** The rows of "what attacks what" (handbook 2): what the wet coat lands on. */
enum Below: string
{
    case WaterAcrylic = 'water acrylic';
    case AlcoholAcrylic = 'alcohol acrylic';
    case Lacquer = 'lacquer';
    case Enamel = 'enamel';
    case TwoPart = 'two-part paint';
    case ArtistOil = 'artist oil';
    case Decal = 'decal';
    case Styrene = 'bare styrene';
    case ClearStyrene = 'bare clear styrene';
    case AcrylicSheet = 'acrylic sheet';
    case PetgSheet = 'PETG sheet';
    case SoftVinyl = 'soft vinyl';
    case BareMetal = 'bare metal';
    case Resin = 'resin';
}
