<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** What a piece is held by while it is painted (handbook 1, steps 3 and 6). */
enum Holder: string
{
    case Clip = 'clip';
    case Peg = 'peg';
    case Stick = 'stick';
    case Board = 'board';
    case Keel = 'keel';
    case Stand = 'stand';

    /** Small flat pieces that lie on one board with room to spray between them. */
    private const ON_A_BOARD = 30;

    /** @return int holders of this kind for so many pieces */
    public function forPieces(int $pieces): int
    {
        return $this === self::Board ? (int) ceil($pieces / self::ON_A_BOARD) : $pieces;
    }

    /** Owned where the user has not counted. */
    public function usual(): int
    {
        return match ($this) {
            self::Clip, self::Stick => 24,
            self::Peg => 20,
            self::Board => 2,
            self::Keel => 1,
            self::Stand => 2,
        };
    }

    public function word(): string
    {
        return match ($this) {
            self::Peg => 'peg with putty',
            self::Keel => 'temporary keel',
            default => $this->value,
        };
    }

    public function plural(): string
    {
        return $this === self::Peg ? 'pegs' : ($this === self::Keel ? 'temporary keels' : $this->value.'s');
    }
}
