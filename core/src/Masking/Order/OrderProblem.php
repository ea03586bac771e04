<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Order;

/**
 * Which colour first, over the whole model (handbook 4, Colour order). Costs are minutes. All of it splits into what a stage
 * costs by what was sprayed before it, whatever the order of that, and by what was sprayed last.
 */
final class OrderProblem
{
    /** Minutes to rinse and load another paint. */
    public const LOAD = 8.0;

    /** Minutes an evening counts that is waited for tape, where nobody said. */
    public const EVENING = 30.0;

    /** @var list<list<Patch>> by entry */
    private array $patches = [];

    /** @var array<string, int> entries sprayed on each piece, as bits */
    private array $on = [];

    /** @var array<int, array<int, list<array{int, int}>>> by entry and patch: coats over another's overspray as [its bit, coats], most first */
    private array $over = [];

    /**
     * @param  list<Entry>  $entries
     * @param  list<Patch>  $areas
     * @param  list<string>  $shades  of primer, the piece's own first
     */
    public function __construct(public readonly array $entries, public readonly array $areas, public readonly array $shades = [''], public readonly float $evening = self::EVENING)
    {
        $this->patches = array_fill(0, count($entries), []);
        foreach ($areas as $area) {
            $this->on[$area->piece] = ($this->on[$area->piece] ?? 0) | 1 << $area->entry;
            $over = [];
            foreach ($area->over as $entry => $coats) {
                $over[] = [1 << $entry, $coats];
            }
            usort($over, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
            $this->over[$area->entry][count($this->patches[$area->entry])] = $over;
            $this->patches[$area->entry][] = $area;
        }
    }

    public function count(): int
    {
        return count($this->entries);
    }

    /** All entries, as bits. */
    public function all(): int
    {
        return (1 << count($this->entries)) - 1;
    }

    public function mayFollow(int $entry, int $sprayed): bool
    {
        return ($this->entries[$entry]->after & ~$sprayed) === 0;
    }

    /** Coats an area takes where so much was sprayed before, under the best of the shades there are. */
    public function coats(int $entry, int $patch, int $sprayed, int $shades): int
    {
        $coats = $this->patches[$entry][$patch]->coats;
        $least = $coats[0];
        for ($shade = 1, $all = count($coats); $shade < $all; $shade++) {
            $least = ($shades >> $shade & 1) === 1 && $coats[$shade] < $least ? $coats[$shade] : $least;
        }
        foreach ($this->over[$entry][$patch] as [$bit, $needed]) {
            if ($needed <= $least) {
                break;
            }
            if (($sprayed & $bit) !== 0) {
                return $needed;
            }
        }

        return $least;
    }

    /** Minutes of a stage but for the change of paint and the wait before it. */
    public function stage(int $entry, int $sprayed, int $shades): float
    {
        $minutes = 0.0;
        $later = $this->all() & ~$sprayed & ~(1 << $entry);
        foreach ($this->patches[$entry] as $i => $patch) {
            $minutes += $patch->coatMinutes($this->coats($entry, $i, $sprayed, $shades));
            if (($this->on[$patch->piece] & $later) !== 0) {
                $minutes += $patch->fieldMinutes();
                foreach ($patch->edges as $other => [, $edge]) {
                    $minutes += ($later >> $other & 1) === 1 ? $edge : 0.0;
                }
            }
        }

        return $minutes;
    }

    /** Minutes from one stage to the next: the change of paint, and the wait where something just sprayed is capped. */
    public function change(?int $last, int $entry): float
    {
        $load = $last !== null && $this->entries[$last]->paint === $this->entries[$entry]->paint ? 0.0 : self::LOAD;

        return $load + ($this->waits($last, $entry) ? $this->evening : 0.0);
    }

    public function waits(?int $last, int $entry): bool
    {
        foreach ($last === null ? [] : $this->patches[$last] as $patch) {
            if (($this->on[$patch->piece] >> $entry & 1) === 1) {
                return true;
            }
        }

        return false;
    }

    /** Minutes of shades of primer besides the pieces' own: each is loaded once. */
    public function shadeMinutes(int $shades): float
    {
        return self::LOAD * substr_count(decbin($shades & ~1), '1');
    }

    /** @return list<Patch> */
    public function patchesOf(int $entry): array
    {
        return $this->patches[$entry];
    }

    public function isOnPiece(string $piece, int $entries): bool
    {
        return (($this->on[$piece] ?? 0) & $entries) !== 0;
    }

    /**
     * Sets of shades besides the own that may pay: each that saves an area a coat.
     *
     * @return list<int> as bits, the own shades alone first
     */
    public function shadeSets(): array
    {
        $useful = [];
        foreach ($this->areas as $area) {
            foreach ($area->coats as $shade => $coats) {
                if ($coats < $area->coats[0]) {
                    $useful[$shade] = 1 << $shade;
                }
            }
        }
        $sets = [1];
        foreach ($useful as $bit) {
            foreach ($sets as $set) {
                $sets[] = $set | $bit;
            }
        }

        return $sets;
    }
}
