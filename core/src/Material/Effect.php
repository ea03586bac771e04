<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** What happens below when a liquid lands on top: the words of the table, with what they mean for a plan. */
enum Effect: string
{
    case Ok = 'is safe';
    case Bites = 'bites';
    case Soft = 'is still soft';
    case ReMelts = 're-melts';
    case MistFirst = 'wants a mist first';
    case MistOnly = 'takes mist coats only';
    case Window = 'has a recoat window';
    case Scuff = 'wants scuffing first';
    case Cracks = 'cracks';
    case Crazes = 'crazes';
    case Lifts = 'lifts';
    case Wrinkles = 'wrinkles';
    case Tries = 'may stay tacky: try it first';
    case StaysTacky = 'keeps the paint tacky for ever';
    case PoorGrip = 'gives poor grip';
    case Chips = 'lets the paint chip off';
    case PrimerFirst = 'wants primer first';
    case ByLabel = 'depends on the label';
    case DrawsBack = 'lets the paint draw back from edges';
    case RubsUp = 'rubs up';

    /** The layer below is spoilt: a stop, or a hold where a later state is safe. */
    public function spoils(): bool
    {
        return in_array($this, [self::Cracks, self::Crazes, self::Lifts, self::Wrinkles, self::StaysTacky], true);
    }

    /** Only time is wanted: hold until the later state. */
    public function waits(): bool
    {
        return $this === self::Soft || $this === self::ReMelts;
    }

    public function ordersMist(): bool
    {
        return $this === self::MistFirst || $this === self::MistOnly;
    }
}
