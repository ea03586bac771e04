<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** A shape one can measure with a ruler, and the area it has (handbook 4, Amount). */
enum AreaShape: string
{
    case Wing = 'wing';
    case Tube = 'tube';
    case Hull = 'hull';
    case Body = 'body';
    case Plate = 'plate';
    case Ball = 'ball';

    public function word(): string
    {
        return match ($this) {
            self::Wing => 'a wing, one face of both halves',
            self::Tube => 'a tube: fuselage, barrel, mast',
            self::Hull => 'a hull of a ship or boat',
            self::Body => 'a body with windows: car, cabin, turret',
            self::Plate => 'a flat plate, one face',
            self::Ball => 'a ball or dome',
        };
    }

    /** @return array<string, string> what is measured, mm on the model, by field */
    public function measures(): array
    {
        return match ($this) {
            self::Wing => ['halfSpan' => 'half span', 'rootChord' => 'chord at the root', 'tipChord' => 'chord at the tip'],
            self::Tube => ['diameter' => 'diameter', 'length' => 'length'],
            self::Hull => ['length' => 'length', 'beam' => 'beam', 'depth' => 'depth'],
            self::Body => ['length' => 'length', 'width' => 'width', 'height' => 'height'],
            self::Plate => ['length' => 'length', 'width' => 'width'],
            self::Ball => ['diameter' => 'diameter'],
        };
    }

    /** @param  array<string, float>  $mm  by field, all of {@see measures()} */
    public function sum(array $mm): Sum
    {
        return match ($this) {
            self::Wing => Sum::wing($mm['halfSpan'], ($mm['rootChord'] + $mm['tipChord']) / 2),
            self::Tube => Sum::tube($mm['diameter'], $mm['length']),
            self::Hull => Sum::hull($mm['length'], $mm['beam'], $mm['depth']),
            self::Body => Sum::body($mm['length'], $mm['width'], $mm['height']),
            self::Plate => Sum::plate($mm['length'], $mm['width']),
            self::Ball => Sum::ball($mm['diameter']),
        };
    }
}
