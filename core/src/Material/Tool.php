<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** What the paint is laid with: how much of it arrives, and how much stays behind (handbook 4, Amount). */
enum Tool: string
{
    case Airbrush = 'airbrush';
    case AirbrushSmall = 'airbrush-small';
    case AirbrushRails = 'airbrush-rails';
    case Aerosol = 'aerosol';
    case Brush = 'brush';

    /** A surface under this, about 30 mm square, is narrower than the spray: half as much arrives. */
    public const NARROWER_THAN_THE_SPRAY_CM2 = 9.0;

    /** What a family goes on with, by the largest surface there is. */
    public static function spraying(Family $family, float $largestCm2): self
    {
        return match (true) {
            $family === Family::Aerosol => self::Aerosol,
            $largestCm2 < self::NARROWER_THAN_THE_SPRAY_CM2 => self::AirbrushSmall,
            default => self::Airbrush,
        };
    }

    /** Share of the paint that lands on the model. */
    public function transfer(): float
    {
        return match ($this) {
            self::Airbrush => 0.5,
            self::AirbrushSmall => 0.25,
            self::AirbrushRails => 0.1,
            self::Aerosol => 0.35,
            self::Brush => 0.95,
        };
    }

    /** ml of mix that stay in it at each filling and cleaning. */
    public function keeps(): float
    {
        return match ($this) {
            self::Aerosol => 0.0,
            self::Brush => 0.2,
            default => 0.3,
        };
    }

    public function word(): string
    {
        return match ($this) {
            self::Airbrush => 'airbrush, over 30 mm wide',
            self::AirbrushSmall => 'airbrush, small parts',
            self::AirbrushRails => 'airbrush, rails and etch',
            self::Aerosol => 'aerosol',
            self::Brush => 'brush',
        };
    }

    public function isAirbrush(): bool
    {
        return $this !== self::Aerosol && $this !== self::Brush;
    }
}
