<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Step\Hold;

/** A rule that holds whatever handles a piece, so that it can be asked of the piece once for all steps that do. */
interface HoldsPieces extends OrdersHolds
{
    /** @return list<Hold> that any joining of the piece waits for */
    public function holdsPiece(string $pieceId, World $world): array;
}
