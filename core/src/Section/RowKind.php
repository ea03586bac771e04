<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

use AmberStep\Core\Work\Operation;

/** What a row of the section shows: told apart by pattern, not by colour alone. */
enum RowKind: string
{
    case Bare = 'bare';
    case Seam = 'seam';
    case Primer = 'primer';
    case Colour = 'colour';
    case Shade = 'shade';
    case Clear = 'clear';
    case Decal = 'decal';
    case Wash = 'wash';
    case Cut = 'cut';
    case MaskOn = 'mask-on';
    case MaskOff = 'mask-off';

    public static function of(Operation $operation): self
    {
        return match ($operation) {
            Operation::Prime => self::Primer,
            Operation::Preshade => self::Shade,
            Operation::Gloss, Operation::Seal, Operation::Final, Operation::Barrier => self::Clear,
            Operation::Decal => self::Decal,
            Operation::PinWash, Operation::Filter => self::Wash,
            Operation::Flat, Operation::Abrade, Operation::Polish => self::Cut,
            Operation::Mask => self::MaskOn,
            Operation::Unmask => self::MaskOff,
            default => self::Colour,
        };
    }
}
