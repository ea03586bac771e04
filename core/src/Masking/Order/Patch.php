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
     * @param  array<int, array{float, float, bool}>  $edges  cm and minutes of the mask's edge to each other entry on its piece, and whether what makes any of it lasts one stage only
     * @param  array<int, float>  $fringes  minutes to go along a soft edge once more, by the darker entry that was sprayed before
     */
    public function __construct(public int $entry, public string $piece, public float $cm2, public array $coats, public array $over = [], public array $edges = [], public array $fringes = [])
    {
    }

    /** @param  array<int, int>  $place  of the entries it knows, in another list; others are left out */
    public function renamed(array $place): self
    {
        $over = $edges = $fringes = [];
        foreach ($place as $from => $to) {
            $fringes += isset($this->fringes[$from]) ? [$to => $this->fringes[$from]] : [];
            $over += isset($this->over[$from]) ? [$to => $this->over[$from]] : [];
            $edges += isset($this->edges[$from]) ? [$to => $this->edges[$from]] : [];
        }

        return new self($place[$this->entry], $this->piece, $this->cm2, $this->coats, $over, $edges, $fringes);
    }

    /**
     * Minutes to lay its mask anew once a stage is over: where an edge was soft in it, what made that does not last over a
     * change of stage (handbook 7).
     *
     * @param  int  $sprayed  entries before the stage, as bits
     * @param  int  $entry  of the stage
     */
    public function relaidMinutes(int $sprayed, int $entry): float
    {
        $minutes = $this->fieldMinutes();
        $wasSoft = false;
        foreach ($this->edges as $other => [, $edge, $soft]) {
            if (($sprayed >> $other & 1) === 0) {
                $wasSoft = $wasSoft || $soft;
                $minutes += $other === $entry ? 0.0 : $edge;
            }
        }

        return $wasSoft ? $minutes : 0.0;
    }

    public function hasSoftEdge(): bool
    {
        return in_array(true, array_column($this->edges, 2), true);
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
