<?php

declare(strict_types=1);

namespace AmberStep\Core\Section\Stages;

/** What an area is while a colour is sprayed. */
enum Showing: string
{
    case Sprayed = 'sprayed';
    case Capped = 'capped';
    /** Finished or begun, and within reach of what is sprayed. */
    case Finished = 'finished';
    /** It has its colour, and nothing is sprayed on its piece. */
    case Done = 'done';
    case ToCome = 'to-come';
    /** Nothing is to go on it, and nothing covers it. */
    case Bare = 'bare';

    public function word(): string
    {
        return match ($this) {
            self::Sprayed => 'sprayed',
            self::Capped => 'capped',
            self::Finished => 'open though finished',
            self::Done => 'has its colour',
            self::ToCome => 'still to come',
            self::Bare => 'bare on purpose',
        };
    }
}
