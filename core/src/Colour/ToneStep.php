<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** How far a tone goes from its colour, and which way. */
enum ToneStep: string
{
    /** CIEDE2000 of a subtle difference: seen side by side, not across the room. */
    public const SUBTLE = [1.5, 3.0];

    /** CIEDE2000 of a clear one: seen across the room. */
    public const CLEAR = [3.0, 6.0];

    /** CIEDE2000 of another tone of the same colour: the ends of a mosaic. */
    public const FAR = [6.0, 10.0];

    case FarLighter = 'far-lighter';
    case ClearlyLighter = 'clearly-lighter';
    case Lighter = 'lighter';
    case Darker = 'darker';
    case ClearlyDarker = 'clearly-darker';
    case FarDarker = 'far-darker';

    public function isLighter(): bool
    {
        return in_array($this, [self::FarLighter, self::ClearlyLighter, self::Lighter], true);
    }

    /** @return array{float, float} CIEDE2000 */
    public function range(): array
    {
        return match ($this) {
            self::Lighter, self::Darker => self::SUBTLE,
            self::ClearlyLighter, self::ClearlyDarker => self::CLEAR,
            self::FarLighter, self::FarDarker => self::FAR,
        };
    }

    public function word(): string
    {
        return match ($this) {
            self::FarLighter => 'far lighter',
            self::FarDarker => 'far darker',
            self::ClearlyLighter => 'clearly lighter',
            self::Lighter => 'a little lighter',
            self::Darker => 'a little darker',
            self::ClearlyDarker => 'clearly darker',
        };
    }
}
