<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** The scales abrasives are numbered on; the same number means another grit on each (handbook 2, Abrasives). Mean particle size in µm. */
enum GritScale: string
{
    /** European, with a P. */
    case Fepa = 'fepa';
    /** American, no P. */
    case Cami = 'cami';
    /** Cushioned polishing cloth. */
    case Cloth = 'cloth';
    /** Japanese, no P. */
    case Jis = 'jis';
    case Compound = 'compound';

    /** @return array<array-key, float|int> µm by number, coarse to fine */
    public function microns(): array
    {
        return match ($this) {
            self::Fepa => ['180' => 82, '220' => 68, '240' => 58.5, '280' => 52.2, '320' => 46.2, '360' => 40.5, '400' => 35, '500' => 30.2, '600' => 25.8, '800' => 21.8, '1000' => 18.3, '1200' => 15.3, '1500' => 12.6, '2000' => 10.3, '2500' => 8.4, '3000' => 6, '4000' => 5, '6000' => 4, '8000' => 3],
            self::Cami => ['180' => 78, '220' => 66, '240' => 53, '280' => 44, '320' => 36, '360' => 29, '400' => 23.6, '500' => 19.7, '600' => 16, '800' => 12.2, '1000' => 9.2, '1200' => 6.5],
            self::Cloth => ['1500' => 30, '1800' => 15, '2400' => 12, '3200' => 9, '3600' => 7, '4000' => 5, '6000' => 4, '8000' => 3, '12000' => 2],
            self::Jis => ['1000' => 11.5, '2000' => 6.7],
            self::Compound => ['' => 1],
        };
    }

    public function word(): string
    {
        return match ($this) {
            self::Fepa => 'FEPA',
            self::Cami => 'CAMI',
            self::Cloth => 'polishing cloth',
            self::Jis => 'JIS',
            self::Compound => 'compound',
        };
    }
}
