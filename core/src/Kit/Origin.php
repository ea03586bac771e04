<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** Where a part comes from: a show may forbid what is not of the kit, or a base. */
enum Origin: string
{
    case Kit = 'kit';
    /** Etch, turned metal, resin and the like, bought or made. */
    case Added = 'added';
    /** The base the model is fixed to. */
    case Base = 'base';
}
