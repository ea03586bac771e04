<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** What an amount is stated of: a ratio always says of what to what (handbook 4, Parts). */
enum Base: string
{
    /** Parts against the other parts. */
    case Parts = 'parts';
    /** Per cent of paint and thinner together. */
    case PercentOfMix = 'percent-of-mix';
    /** Per cent of the paint alone, where the label says so. */
    case PercentOfPaint = 'percent-of-paint';
    /** Per cent of all that is in the cup, itself included: what thinner in % means (handbook 4, Parts). */
    case PercentOfWhole = 'percent-of-whole';
    /** One part to so many parts of paint. */
    case ToPaint = 'to-paint';
    /** One part to so many parts of the thinned mix. */
    case ToMix = 'to-mix';

    public function word(): string
    {
        return match ($this) {
            self::Parts => 'parts',
            self::PercentOfMix => '% of the paint and thinner together',
            self::PercentOfPaint => '% of the paint',
            self::PercentOfWhole => '% of the whole',
            self::ToPaint => 'parts of paint to one of it',
            self::ToMix => 'parts of thinned mix to one of it',
        };
    }
}
