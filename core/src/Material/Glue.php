<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** Glues of handbook 2, with minutes to handle and to full strength at 20 °C and 50 % RH. */
enum Glue: string
{
    case ThinCement = 'thin-cement';
    case SlowCement = 'slow-cement';
    case Superglue = 'superglue';
    case ClearGlue = 'clear-glue';
    case Epoxy = 'epoxy';

    public function handleMinutes(): int
    {
        return match ($this) {
            self::ThinCement => 10,
            self::SlowCement, self::ClearGlue => 30,
            self::Superglue => 1,
            self::Epoxy => 15,
        };
    }

    public function fullMinutes(): int
    {
        return match ($this) {
            self::ThinCement, self::Epoxy => 24 * 60,
            self::SlowCement => 48 * 60,
            self::Superglue, self::ClearGlue => 12 * 60,
        };
    }

    public function driesBy(): DriesBy
    {
        return match ($this) {
            self::ThinCement, self::SlowCement => DriesBy::Solvent,
            self::ClearGlue => DriesBy::Water,
            self::Superglue, self::Epoxy => DriesBy::CrossLinking,
        };
    }

    public function isCement(): bool
    {
        return $this === self::ThinCement || $this === self::SlowCement;
    }

    public function word(): string
    {
        return match ($this) {
            self::ThinCement => 'thin cement',
            self::SlowCement => 'slow cement',
            self::Superglue => 'superglue',
            self::ClearGlue => 'clear glue',
            self::Epoxy => 'epoxy',
        };
    }
}
