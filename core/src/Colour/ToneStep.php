<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/** How far a tone goes from its colour, and which way. */
enum ToneStep: string
{
    case ClearlyLighter = 'clearly-lighter';
    case Lighter = 'lighter';
    case Darker = 'darker';
    case ClearlyDarker = 'clearly-darker';

    public function isLighter(): bool
    {
        return $this === self::Lighter || $this === self::ClearlyLighter;
    }

    /** @return array{float, float} CIEDE2000 */
    public function range(): array
    {
        return $this === self::Lighter || $this === self::Darker ? Tones::SUBTLE : Tones::CLEAR;
    }

    public function word(): string
    {
        return match ($this) {
            self::ClearlyLighter => 'clearly lighter',
            self::Lighter => 'a little lighter',
            self::Darker => 'a little darker',
            self::ClearlyDarker => 'clearly darker',
        };
    }
}
