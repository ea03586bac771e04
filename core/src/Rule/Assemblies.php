<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\ModelState;

/** Which pieces hang together: handling one handles all. Grows as pieces are attached. */
final class Assemblies
{
    /** @var array<string, list<string>> pieces, by each of them; a piece that hangs on nothing is not in it */
    private array $of = [];

    /** As the model is: what was attached after paint. */
    public static function on(Kit $kit, Breakdown $breakdown, ModelState $state): self
    {
        $found = new self;
        foreach ($kit->joints as $joint) {
            if (! $breakdown->closesBeforePaint($joint->id) && $state->joint($joint->id)->closedAt !== null) {
                [$a, $b] = $breakdown->sides($joint);
                $found->join([$a->id, $b->id]);
            }
        }

        return $found;
    }

    /** @return list<string> pieces that move when one is handled: itself, and those attached to it */
    public function of(string $pieceId): array
    {
        return $this->of[$pieceId] ?? [$pieceId];
    }

    /** @param  list<string>  $pieceIds that hang together from now on */
    public function join(array $pieceIds): void
    {
        $together = [];
        foreach ($pieceIds as $id) {
            foreach ($this->of($id) as $piece) {
                $together[$piece] = $piece;
            }
        }
        $together = array_values($together);
        foreach (count($together) > 1 ? $together : [] as $piece) {
            $this->of[$piece] = $together;
        }
    }
}
