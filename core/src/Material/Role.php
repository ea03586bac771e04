<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** What a product is for. */
enum Role: string
{
    case Primer = 'primer';
    case Colour = 'colour';
    case Metallic = 'metallic';
    case TintedClear = 'tinted-clear';
    case Varnish = 'varnish';
    case Wash = 'wash';
    case Thinner = 'thinner';
    case Hardener = 'hardener';
    case Glue = 'glue';
    case Filler = 'filler';
    case Medium = 'medium';
}
