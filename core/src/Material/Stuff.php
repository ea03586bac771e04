<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** What goes into a cup, as far as its weight and its order count (handbook 4, Units). */
enum Stuff: string
{
    case Paint = 'paint';
    case LacquerThinner = 'lacquer-thinner';
    case Isopropyl = 'isopropyl';
    case WhiteSpirit = 'white-spirit';
    case Water = 'water';
    case Additive = 'additive';
    case Hardener = 'hardener';

    /** g/ml unless the bottle says otherwise. */
    public function density(): float
    {
        return match ($this) {
            self::Paint => 1.1,
            self::Hardener => 1.05,
            self::LacquerThinner => 0.87,
            self::Isopropyl => 0.79,
            self::WhiteSpirit => 0.78,
            self::Water, self::Additive => 1.0,
        };
    }

    public function isThinner(): bool
    {
        return in_array($this, [self::LacquerThinner, self::Isopropyl, self::WhiteSpirit, self::Water], true);
    }

    /** The column of the attack table it is; null for paint, additives and hardener. */
    public function liquid(): ?Liquid
    {
        return match ($this) {
            self::LacquerThinner => Liquid::Lacquer,
            self::Isopropyl => Liquid::AlcoholAcrylic,
            self::WhiteSpirit => Liquid::WhiteSpirit,
            self::Water => Liquid::WaterAcrylic,
            default => null,
        };
    }

    /** What a family is thinned with, as far as drops and grams care (handbook 2, Paint families). */
    public static function thinning(Family $family): self
    {
        return match ($family) {
            Family::Lacquer, Family::SolventPrimer, Family::Aerosol, Family::TwoPart => self::LacquerThinner,
            Family::Enamel, Family::HardenedEnamel, Family::ArtistOil => self::WhiteSpirit,
            Family::AlcoholAcrylic => self::Isopropyl,
            default => self::Water,
        };
    }

    /** Place in the cup: thinner before paint keeps the nozzle clear (house rule pouring); additives, then hardener last. */
    public function order(bool $thinnerFirst): int
    {
        return match (true) {
            $this->isThinner() => $thinnerFirst ? 0 : 2,
            $this === self::Paint => 1,
            $this === self::Additive => 3,
            default => 4,
        };
    }
}
