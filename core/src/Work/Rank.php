<?php

declare(strict_types=1);

namespace AmberStep\Core\Work;

/** Place in the trade's order (handbook 1), as one number: ties between steps are broken by it. */
final class Rank
{
    /** Inside work comes before all that closes over it. */
    private const INSIDE = -10000;

    private const COLOURS = 1000;

    /** Room for a mask, a ground and the colour itself. */
    private const PER_COLOUR = 10;

    private const AFTER_COLOURS = 5000;

    public static function of(Operation $operation, string $phase = '', int $colour = 0, int $extra = 0): int
    {
        $base = match ($operation) {
            Operation::TestFit => 88,
            Operation::Soften => 90,
            Operation::Trim => 92,
            Operation::Stuff => 94,
            Operation::FitWarm => 96,
            Operation::Glue => 100,
            Operation::Fill => 110,
            Operation::CutBack => 120,
            Operation::CheckCoat => 128,
            Operation::CheckSeam => 130,
            Operation::Rescribe => 140,
            Operation::Wash => 200,
            Operation::Wipe => 205,
            Operation::Mount => 210,
            Operation::MaskFaces => 220,
            Operation::Mask => 230,
            Operation::Abrade => 240,
            Operation::InsideColour => 300,
            Operation::Prime => 310,
            Operation::Flat => 315,
            Operation::Inspect => 320,
            Operation::Preshade => 330,
            Operation::Ground => self::COLOURS + self::PER_COLOUR * $colour + 3,
            Operation::Colour => self::COLOURS + self::PER_COLOUR * $colour + 5,
            Operation::CloseColour => self::AFTER_COLOURS - 1,
            Operation::Unmask => self::AFTER_COLOURS,
            Operation::TouchUp => self::AFTER_COLOURS + 15,
            Operation::Insignia => self::AFTER_COLOURS + 17,
            Operation::Gloss => self::AFTER_COLOURS + 20,
            Operation::Decal => self::AFTER_COLOURS + 30,
            Operation::Seal => self::AFTER_COLOURS + 40,
            Operation::Barrier => self::AFTER_COLOURS + 45,
            Operation::PinWash, Operation::Filter => self::AFTER_COLOURS + 50,
            Operation::Final => self::AFTER_COLOURS + 60,
            Operation::Polish => self::AFTER_COLOURS + 80,
            Operation::Unplug => self::AFTER_COLOURS + 94,
            Operation::Scrape => self::AFTER_COLOURS + 95,
            Operation::Attach => self::AFTER_COLOURS + 100,
            Operation::Photograph => self::AFTER_COLOURS + 200,
            Operation::Score => self::AFTER_COLOURS - 1,
            Operation::Discard => self::INSIDE - self::COLOURS,
            Operation::Cabinet, Operation::Look, Operation::Test, Operation::Rinse, Operation::Strip, Operation::Mix => 0,
        };

        return $base + $extra + ($phase === '' ? 0 : self::INSIDE);
    }

    /** A mask goes on just before the colour it is there for. */
    public static function maskBefore(int $colour, string $phase = ''): int
    {
        return self::of(Operation::Colour, $phase, $colour, -4);
    }

    /** One that is laid again for the next colour comes off just after the colour it was there for. */
    public static function maskAfter(int $colour, string $phase = ''): int
    {
        return self::of(Operation::Colour, $phase, $colour, 3);
    }

    /** Sheens a piece may have: each final coat with room for the mask before it. */
    public const SHEENS = 4;

    /** @param  int  $place  of a final coat among those of its piece, first sprayed first */
    public static function sheen(int $place): int
    {
        return self::of(Operation::Final, extra: 2 * $place);
    }

    /** Once the last is sprayed, what was capped last is lifted first. */
    public static function bareSheen(int $place): int
    {
        return self::of(Operation::Final, extra: 2 * self::SHEENS + self::SHEENS - $place);
    }

    /** With all masks off. */
    public static function brushedSheen(): int
    {
        return self::of(Operation::Final, extra: 3 * self::SHEENS + 2);
    }

    public static function inspectBefore(Operation $operation): int
    {
        return self::of($operation) - 5;
    }
}
