<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Order;

/** An area as the order sees it: how big, what it has to hide, what it meets. */
final readonly class Patch
{
    /** Minutes for each coat, and more for each cm² of it (handbook 4, Colour order). */
    private const A_COAT = [1.0, 0.05];

    /** Minutes to lay a field, for each cm²; and to take it off. */
    private const A_FIELD = [0.05, 0.5];

    /**
     * @param  int  $entry  that is sprayed on it
     * @param  string  $piece  it lies on
     * @param  non-empty-list<int>  $coats  that hide its primer, by shade: the piece's own first
     * @param  array<int, int>  $over  coats that hide the overspray of another entry, by entry, where an edge is shared
     * @param  array<int, array{float, float}>  $edges  cm and minutes of the mask's edge to each other entry on its piece
     */
    public function __construct(public int $entry, public string $piece, public float $cm2, public array $coats, public array $over = [], public array $edges = [])
    {
    }

    public function coatMinutes(int $coats): float
    {
        return $coats * (self::A_COAT[0] + self::A_COAT[1] * $this->cm2);
    }

    public function fieldMinutes(): float
    {
        return self::A_FIELD[0] * $this->cm2 + self::A_FIELD[1];
    }
}
