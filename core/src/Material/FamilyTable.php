<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** The paint family table of handbook 2, figure by figure. Label figures beat it; the log beats both. */
final class FamilyTable
{
    private const HOUR = 60;

    private const DAY = 1440;

    /** @var array<string, FamilyFigures> */
    private static array $rows = [];

    public static function of(Family $family): FamilyFigures
    {
        return self::$rows[$family->value] ??= self::row($family);
    }

    private static function row(Family $family): FamilyFigures
    {
        $h = self::HOUR;
        $d = self::DAY;

        return match ($family) {
            Family::WaterAcrylic => new FamilyFigures('own thinner, water below half of it', new Range(0.3, 1), new Range(1.0, 1.7), self::waits(15, 20, 15, 24 * $h, 48 * $h, 72 * $h), 0.30, 8, DriesBy::Water),
            Family::WaterVarnish => new FamilyFigures('own thinner', new Range(0, 0.5), new Range(1.0, 1.5), self::waits(60, 2 * $h, 30, 24 * $h, 72 * $h, 7 * $d), 0.30, 8, DriesBy::Water),
            Family::PolymerPrimer => new FamilyFigures('own thinner, or none', new Range(0, 0.5), new Range(1.2, 1.8), self::waits(15, 30, 20, 24 * $h, 72 * $h, 72 * $h), 0.32, 10, DriesBy::Water),
            Family::AlcoholAcrylic => new FamilyFigures('own thinner or alcohol', new Range(1, 2), new Range(0.8, 1.4), self::waits(10, 10, 10, 12 * $h, 24 * $h, 48 * $h), 0.22, 5, DriesBy::Solvent),
            Family::Lacquer => new FamilyFigures('lacquer thinner', new Range(1, 2.5), new Range(0.8, 1.4), self::waits(10, 10, 5, 6 * $h, 24 * $h, 48 * $h), 0.18, 5, DriesBy::Solvent),
            Family::SolventPrimer => new FamilyFigures('lacquer thinner', new Range(1, 1.5), new Range(1.2, 1.8), self::waits(10, 20, 10, 6 * $h, 4 * $h, 24 * $h), 0.24, 10, DriesBy::Solvent),
            Family::Aerosol => new FamilyFigures('none', Range::one(0), Range::one(0), self::waits(20, 20, 20, 24 * $h, 72 * $h, 7 * $d), 0.15, 15, DriesBy::Solvent),
            Family::Enamel => new FamilyFigures('white spirit', new Range(0.7, 1.5), new Range(0.9, 1.6), self::waits(30, 30, 6 * $h, 48 * $h, 5 * $d, 7 * $d), 0.40, 12, DriesBy::Oxygen, 2 * $h, 48 * $h),
            Family::HardenedEnamel => new FamilyFigures('white spirit', new Range(0.7, 1.2), new Range(0.9, 1.4), self::waits(20, 20, $h, 24 * $h, 48 * $h, 4 * $d), 0.42, 12, DriesBy::CrossLinking, 2 * $h, 24 * $h),
            Family::TwoPart => new FamilyFigures('its own, by the label', Range::one(0), new Range(1.2, 1.8), self::waits(15, 15, $h, 24 * $h, 48 * $h, 7 * $d), 0.45, 12, DriesBy::CrossLinking, 4 * $h, 24 * $h),
            Family::ArtistOil => new FamilyFigures('odourless white spirit', Range::one(0), Range::one(0), self::waits(24 * $h, 24 * $h, 2 * $d, 5 * $d, null, 14 * $d), 0.50, 5, DriesBy::Oxygen),
        };
    }

    /** @return array<string, int|null> */
    private static function waits(int $flash, int $recoat, int $touch, int $tape, ?int $sand, int $cured): array
    {
        return ['flash' => $flash, 'recoat' => $recoat, 'touch' => $touch, 'tape-safe' => $tape, 'sand-safe' => $sand, 'cured' => $cured];
    }
}
