<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** A solvent family: paints that share a liquid, and so share what they attack and how they dry. */
enum Family: string
{
    case WaterAcrylic = 'water-acrylic';
    case WaterVarnish = 'water-varnish';
    case PolymerPrimer = 'polymer-primer';
    case AlcoholAcrylic = 'alcohol-acrylic';
    case Lacquer = 'lacquer';
    case SolventPrimer = 'solvent-primer';
    case Aerosol = 'aerosol';
    case Enamel = 'enamel';
    case HardenedEnamel = 'hardened-enamel';
    case TwoPart = 'two-part';
    case ArtistOil = 'artist-oil';

    public function figures(): FamilyFigures
    {
        return FamilyTable::of($this);
    }

    /** The row of "what attacks what" this family is once it lies on the model. */
    public function below(): Below
    {
        return match ($this) {
            self::WaterAcrylic, self::WaterVarnish, self::PolymerPrimer => Below::WaterAcrylic,
            self::AlcoholAcrylic => Below::AlcoholAcrylic,
            self::Lacquer, self::SolventPrimer, self::Aerosol => Below::Lacquer,
            self::Enamel, self::HardenedEnamel => Below::Enamel,
            self::TwoPart => Below::TwoPart,
            self::ArtistOil => Below::ArtistOil,
        };
    }

    /** The column: the liquid that arrives with a wet coat. */
    public function liquid(): Liquid
    {
        return match ($this) {
            self::WaterAcrylic, self::WaterVarnish, self::PolymerPrimer => Liquid::WaterAcrylic,
            self::AlcoholAcrylic => Liquid::AlcoholAcrylic,
            self::Lacquer, self::SolventPrimer, self::Aerosol => Liquid::Lacquer,
            self::Enamel, self::HardenedEnamel, self::ArtistOil => Liquid::WhiteSpirit,
            self::TwoPart => Liquid::TwoPart,
        };
    }

    /** @return non-empty-list<Liquid> what may thin it (handbook 2, Paint families; rule thinner-fits) */
    public function thinners(): array
    {
        return match ($this) {
            self::WaterAcrylic, self::WaterVarnish, self::PolymerPrimer => [Liquid::WaterAcrylic],
            self::AlcoholAcrylic => [Liquid::AlcoholAcrylic, Liquid::Lacquer],
            self::Lacquer, self::SolventPrimer, self::Aerosol => [Liquid::Lacquer],
            self::Enamel, self::HardenedEnamel, self::ArtistOil => [Liquid::WhiteSpirit],
            self::TwoPart => [Liquid::TwoPart],
        };
    }

    /** Enamel and two-part keep a recoat window that closes and opens again. */
    public function hasWindow(): bool
    {
        return $this->figures()->firstWindowMinutes !== null;
    }

    public function word(): string
    {
        return match ($this) {
            self::WaterAcrylic => 'water acrylic',
            self::WaterVarnish => 'water acrylic varnish',
            self::PolymerPrimer => 'polymer primer',
            self::AlcoholAcrylic => 'alcohol acrylic',
            self::Lacquer => 'lacquer',
            self::SolventPrimer => 'solvent primer',
            self::Aerosol => 'aerosol',
            self::Enamel => 'enamel',
            self::HardenedEnamel => 'hardened enamel',
            self::TwoPart => 'two-part paint',
            self::ArtistOil => 'artist oil',
        };
    }
}
