<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** What is to be made good besides the joints (handbook 1, steps 2 and 5). */
enum FlawKind: string
{
    case Seam = 'seam';
    case Gap = 'gap';
    case Step = 'step';
    case Sink = 'sink';
    case Ejector = 'ejector';
    case Gate = 'gate';
    case Lettering = 'lettering';
    case Scratch = 'scratch';
    case GluePrint = 'glue-print';
    case Chip = 'chip';
    case Thin = 'thin';

    public function word(): string
    {
        return match ($this) {
            self::Ejector => 'ejector mark',
            self::Gate => 'gate stub',
            self::GluePrint => 'glue print',
            self::Thin => 'thin spot',
            default => $this->value,
        };
    }

    /** It stands proud, or only the skin is marked: it is sanded, and nothing goes in. */
    public function isSandedOnly(): bool
    {
        return in_array($this, [self::Step, self::Gate, self::Lettering, self::Scratch, self::GluePrint], true);
    }

    /** It lies low: filled, or the rest is sanded down to it (house rule). */
    public function isLow(): bool
    {
        return $this === self::Sink || $this === self::Ejector;
    }

    /** An edge that is to be built up again: modelled, not filled. */
    public function isShaped(): bool
    {
        return $this === self::Chip;
    }

    /** The first grit for it (handbook 2, Abrasives): file marks and gates P240, filler and parting lines P400. */
    public function startGrit(): string
    {
        return match ($this) {
            self::Gate, self::Step, self::Lettering => 'P240',
            default => 'P400',
        };
    }
}
