<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** What a model is of, as far as it decides which parts a kit has. */
enum Kind: string
{
    case Propeller = 'propeller';
    case Jet = 'jet';
    case Glider = 'glider';
    case Seaplane = 'seaplane';
    case Tracked = 'tracked';
    case Wheeled = 'wheeled';
    case Ship = 'ship';
    case Car = 'car';
    case Walker = 'walker';
    case Figure = 'figure';

    public function word(): string
    {
        return match ($this) {
            self::Propeller => 'propeller aircraft',
            self::Jet => 'jet aircraft',
            self::Glider => 'glider',
            self::Seaplane => 'seaplane',
            self::Tracked => 'tracked vehicle',
            self::Wheeled => 'wheeled vehicle',
            self::Ship => 'ship',
            self::Car => 'car',
            self::Walker => 'walker or craft of fiction',
            self::Figure => 'figure',
        };
    }

    /** What its second measure is called; null: it has none. */
    public function across(): ?string
    {
        return match ($this) {
            self::Propeller, self::Jet, self::Glider, self::Seaplane => 'span',
            self::Ship => 'beam',
            self::Figure => null,
            default => 'width',
        };
    }

    /** What its first measure is called. */
    public function along(): string
    {
        return $this === self::Figure || $this === self::Walker ? 'height' : 'length';
    }

    /** Second measure to the first, where it was not said. */
    public function usual(): float
    {
        return match ($this) {
            self::Propeller => 1.2,
            self::Seaplane => 1.15,
            self::Jet => 0.7,
            self::Glider => 2.1,
            self::Tracked => 0.45,
            self::Wheeled, self::Car => 0.4,
            self::Ship => 0.14,
            self::Walker => 0.6,
            self::Figure => 0.35,
        };
    }

    /** An example of how it may look, in words. */
    public function looks(): string
    {
        return match ($this) {
            self::Propeller, self::Seaplane => 'sea grey and slate green over pale grey, yellow bands, decals, wash',
            self::Jet => 'pale grey over sea grey, decals, wash',
            self::Glider => 'cream, red bands, gloss, decals',
            self::Tracked, self::Wheeled => 'sand and slate green, decals, wash',
            self::Ship => 'pale grey, red below, buff deck, cream house',
            self::Car => 'bronze over silver, 2K clear, polish',
            self::Walker => 'sea grey and slate green and pale grey mosaic, red trim, wash',
            self::Figure => 'slate green coat, buff trousers, leather boots',
        };
    }
}
