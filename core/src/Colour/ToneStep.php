<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** How far a tone goes from its colour, and which way. */
enum ToneStep: string
{
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
            self::Lighter, self::Darker => Tones::SUBTLE,
            self::ClearlyLighter, self::ClearlyDarker => Tones::CLEAR,
            self::FarLighter, self::FarDarker => Tones::FAR,
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
