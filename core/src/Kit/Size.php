<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** A size letter, an estimate of an area in cm² (handbook 4, Amount). */
enum Size: string
{
    case XS = 'XS';
    case S = 'S';
    case M = 'M';
    case L = 'L';
    case XL = 'XL';

    public function cm2(): float
    {
        return match ($this) {
            self::XS => 1,
            self::S => 5,
            self::M => 25,
            self::L => 80,
            self::XL => 250,
        };
    }
}
