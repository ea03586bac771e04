<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** What a part is made of. */
enum Substrate: string
{
    case Styrene = 'styrene';
    case Abs = 'abs';
    case ClearStyrene = 'clear-styrene';
    case AcrylicSheet = 'acrylic-sheet';
    case Petg = 'petg';
    case SoftVinyl = 'soft-vinyl';
    case Brass = 'brass';
    case Aluminium = 'aluminium';
    case WhiteMetal = 'white-metal';
    case Resin = 'resin';
    case Printed = 'printed';

    public function below(): Below
    {
        return match ($this) {
            self::Styrene, self::Abs => Below::Styrene,
            self::ClearStyrene => Below::ClearStyrene,
            self::AcrylicSheet => Below::AcrylicSheet,
            self::Petg => Below::PetgSheet,
            self::SoftVinyl => Below::SoftVinyl,
            self::Brass, self::Aluminium, self::WhiteMetal => Below::BareMetal,
            self::Resin, self::Printed => Below::Resin,
        };
    }

    public function isMetal(): bool
    {
        return $this->below() === Below::BareMetal;
    }

    public function isSlickSheet(): bool
    {
        return $this === self::AcrylicSheet || $this === self::Petg;
    }

    /** It comes out of its mould with something on it that neither glue nor paint holds on. */
    public function hasRelease(): bool
    {
        return $this === self::Resin || $this === self::SoftVinyl;
    }

    /** Cement dissolves it, and so joins it. */
    public function takesCement(): bool
    {
        return in_array($this, [self::Styrene, self::Abs, self::ClearStyrene], true);
    }

    /** Highest cabinet, °C (handbook 2, Plastics and heat). Metal sets no limit of its own below the oven's. */
    public function highestCabinetC(): float
    {
        return match ($this) {
            self::Styrene, self::Abs => 50,
            self::ClearStyrene, self::Petg, self::AcrylicSheet => 45,
            self::Resin, self::Printed => 40,
            self::SoftVinyl => 35,
            self::Brass, self::Aluminium, self::WhiteMetal => 80,
        };
    }

    public function word(): string
    {
        return match ($this) {
            self::Abs => 'ABS',
            self::ClearStyrene => 'clear styrene',
            self::AcrylicSheet => 'acrylic sheet',
            self::Petg => 'PETG sheet',
            self::SoftVinyl => 'soft vinyl',
            self::WhiteMetal => 'white metal',
            self::Printed => 'printed resin',
            default => $this->value,
        };
    }
}
