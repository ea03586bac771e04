<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Order;

/** An order of colours with what it costs. */
final readonly class Ordered
{
    /**
     * @param  list<int>  $order  entries, first sprayed first
     * @param  int  $shades  of primer that are used, as bits
     * @param  int  $masks  areas that are capped
     * @param  float  $edgeCm  of masks' edges
     * @param  int  $coats  of all areas together
     * @param  int  $changes  of paint, the first loading too
     * @param  int  $waits  evenings waited for tape
     */
    public function __construct(public array $order, public int $shades, public float $minutes, public int $masks, public float $edgeCm, public float $fieldCm2, public int $coats, public int $changes, public int $waits)
    {
    }

    /**
     * @param  list<int>  $order
     */
    public static function of(OrderProblem $problem, array $order, int $shades = 1): self
    {
        $minutes = $problem->shadeMinutes($shades);
        $masks = $coats = $waits = 0;
        $changes = substr_count(decbin($shades & ~1), '1');
        $edge = $field = 0.0;
        $sprayed = 0;
        $last = null;
        foreach ($order as $entry) {
            $minutes += $problem->change($last, $entry) + $problem->stage($entry, $sprayed, $shades);
            $changes += $last !== null && $problem->entries[$last]->paint === $problem->entries[$entry]->paint ? 0 : 1;
            $waits += $problem->waits($entry, $sprayed) ? 1 : 0;
            $later = $problem->all() & ~$sprayed & ~(1 << $entry);
            foreach ($problem->patchesOf($entry) as $i => $patch) {
                $coats += $problem->coats($entry, $i, $sprayed, $shades);
                if ($problem->isOnPiece($patch->piece, $later)) {
                    $masks++;
                    $field += $patch->cm2;
                    foreach ($patch->edges as $other => [$cm]) {
                        $edge += ($later >> $other & 1) === 1 ? $cm : 0.0;
                    }
                }
            }
            $sprayed |= 1 << $entry;
            $last = $entry;
        }

        return new self($order, $shades, $minutes, $masks, $edge, $field, $coats, $changes, $waits);
    }

    /**
     * The musts an order breaks.
     *
     * @param  list<int>  $order
     * @return list<array{int, int}> entry that comes too late, and the one before it that waits for it
     */
    public static function broken(OrderProblem $problem, array $order): array
    {
        $sprayed = 0;
        $broken = [];
        foreach ($order as $entry) {
            $missing = $problem->entries[$entry]->after & ~$sprayed;
            for ($i = 0; $missing >> $i !== 0; $i++) {
                if (($missing >> $i & 1) === 1) {
                    $broken[] = [$i, $entry];
                }
            }
            $sprayed |= 1 << $entry;
        }

        return $broken;
    }
}
