<?php

declare(strict_types=1);

namespace AmberStep\Core\Work;

/** What is done at the bench in one step. The order of the cases is the trade's (handbook 1). */
enum Operation: string
{
    case TestFit = 'test-fit';
    case Soften = 'soften';
    case Trim = 'trim';
    case Stuff = 'stuff';
    case FitWarm = 'fit-warm';
    case Glue = 'glue';
    case Fill = 'fill';
    case CutBack = 'cut-back';
    case CheckCoat = 'check-coat';
    case CheckSeam = 'check-seam';
    case Rescribe = 'rescribe';
    case Wash = 'wash';
    case Wipe = 'wipe';
    case Mount = 'mount';
    case MaskFaces = 'mask-faces';
    case Mask = 'mask';
    case Abrade = 'abrade';
    case InsideColour = 'inside-colour';
    case Prime = 'prime';
    case Flat = 'flat';
    case Inspect = 'inspect';
    case Preshade = 'preshade';
    case Ground = 'ground';
    case Barrier = 'barrier';
    case Colour = 'colour';
    case CloseColour = 'close-colour';
    case Unmask = 'unmask';
    case Insignia = 'insignia';
    case Gloss = 'gloss';
    case Decal = 'decal';
    case Seal = 'seal';
    case PinWash = 'pin-wash';
    case Filter = 'filter';
    case Final = 'final';
    case Polish = 'polish';
    case Unplug = 'unplug';
    case Scrape = 'scrape';
    case Attach = 'attach';
    case Cabinet = 'cabinet';
    case Photograph = 'photograph';
    case Look = 'look';
    case Test = 'test';
    case TouchUp = 'touch-up';
    case Rinse = 'rinse';
    case Strip = 'strip';
    case Mix = 'mix';
    case Discard = 'discard';
    case Score = 'score';

    /** Paint leaves the gun. */
    public function sprays(): bool
    {
        return match ($this) {
            self::InsideColour, self::Prime, self::Preshade, self::Ground, self::Barrier, self::Colour, self::Insignia, self::Gloss, self::Seal, self::Final => true,
            default => false,
        };
    }

    /** Brushed and wiped, drawn or left in recesses: no coat. */
    public function isWash(): bool
    {
        return $this === self::PinWash || $this === self::Filter;
    }

    /** A layer stays on the model. */
    public function leavesLayer(): bool
    {
        return $this->sprays() || $this->isWash();
    }

    /** A coat that covers the whole surface: what shows through it is under it. */
    public function isVarnish(): bool
    {
        return $this === self::Gloss || $this === self::Seal || $this === self::Final || $this === self::Barrier;
    }

    /** Fingers, tape or tools press on the piece: it must be touch dry. */
    public function touches(): bool
    {
        return match ($this) {
            self::Look, self::Cabinet, self::Test, self::Rinse, self::Strip, self::Mix, self::Discard, self::CloseColour, self::Photograph => false,
            default => ! $this->leavesLayer(),
        };
    }

    /** It is done to the gun, not to the model. */
    public function cleansTheGun(): bool
    {
        return $this === self::Rinse || $this === self::Strip;
    }

    /** It is about the build as a whole, and stands on a piece only for its place. */
    public function isOfTheBuild(): bool
    {
        return $this === self::CloseColour || $this === self::Photograph || $this === self::Discard;
    }

    /** Takes dust and grease off: in a bath, or with a damp cloth. */
    public function cleans(): bool
    {
        return $this === self::Wash || $this === self::Wipe;
    }

    /** Abrades what is on the surface. */
    public function sands(): bool
    {
        return $this === self::CutBack || $this === self::Flat || $this === self::Abrade;
    }

    public function joins(): bool
    {
        return $this === self::Glue || $this === self::Attach;
    }

    /** Place in the trade's order, for steps nothing else puts in order. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    public function word(): string
    {
        return match ($this) {
            self::CutBack => 'cut back',
            self::CheckCoat => 'dark check coat',
            self::CheckSeam => 'check the seam',
            self::MaskFaces => 'keep joint faces bare',
            self::Unplug => 'take the plugs out',
            self::InsideColour => 'inside colour',
            self::Preshade => 'pre-shade',
            self::PinWash => 'pin wash',
            self::Decal => 'decals',
            self::Final => 'final coat',
            self::Test => 'test spray',
            self::TestFit => 'test fit',
            self::FitWarm => 'fit warm',
            self::CloseColour => 'close the colour',
            self::Rinse => 'rinse the gun',
            self::Strip => 'strip the gun',
            self::Mix => 'stir and mix',
            self::Discard => 'throw the cup out',
            self::Score => 'score the edge',
            default => str_replace('-', ' ', $this->value),
        };
    }
}
