<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Order;

/**
 * Which colour first, over the whole model (handbook 4, Colour order). Costs are minutes. All of it splits into what a stage
 * costs by what was sprayed before it, whatever the order of that, and by what is in the gun.
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

    /** @var list<Patch> areas with a soft edge */
    private array $soft;

    /** @var list<int> entries each hangs together with, as bits */
    private array $with = [];

    /** @var list<bool> */
    private array $returns = [];

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
        $this->soft = array_values(array_filter($areas, static fn (Patch $a): bool => $a->hasSoftEdge()));
        foreach ($entries as $i => $entry) {
            $with = $entry->after;
            foreach ($entries as $other => $that) {
                $with |= $that->paint === $entry->paint || ($that->after >> $i & 1) === 1 ? 1 << $other : 0;
            }
            foreach ($this->patches[$i] as $patch) {
                $with |= $this->on[$patch->piece];
            }
            $this->with[] = $with;
            $this->returns[] = count(array_keys(array_column($entries, 'paint'), $entry->paint, true)) > 1;
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

    /** Minutes of a stage but for the change of paint: the evening waited for tape before it too. */
    public function stage(int $entry, int $sprayed, int $shades): float
    {
        $minutes = $this->waits($entry, $sprayed) ? $this->evening : 0.0;
        $later = $this->all() & ~$sprayed & ~(1 << $entry);
        foreach ($this->patches[$entry] as $i => $patch) {
            $minutes += $patch->coatMinutes($this->coats($entry, $i, $sprayed, $shades));
            foreach ($patch->fringes as $darker => $along) {
                $minutes += ($sprayed >> $darker & 1) === 1 ? $along : 0.0;
            }
            if (($this->on[$patch->piece] & $later) !== 0) {
                $minutes += $patch->fieldMinutes();
                foreach ($patch->edges as $other => [, $edge]) {
                    $minutes += ($later >> $other & 1) === 1 ? $edge : 0.0;
                }
            }
        }

        return $minutes + $this->relaid($entry, $sprayed);
    }

    /** Minutes for soft masks that lie through a stage and have to be laid anew for the next on their piece. */
    private function relaid(int $entry, int $sprayed): float
    {
        $minutes = 0.0;
        $later = $this->all() & ~$sprayed & ~(1 << $entry);
        foreach ($this->soft as $patch) {
            $on = $this->on[$patch->piece];
            if (($sprayed >> $patch->entry & 1) === 1 && ($on >> $entry & 1) === 1 && ($on & $later) !== 0) {
                $minutes += $patch->relaidMinutes($sprayed, $entry);
            }
        }

        return $minutes;
    }

    /** Minutes to change the paint from one stage to the next: none where it is in the gun. */
    public function change(?int $last, int $entry): float
    {
        return $last !== null && $this->entries[$last]->paint === $this->entries[$entry]->paint ? 0.0 : self::LOAD;
    }

    /**
     * Whether tape has to be waited for before a stage: what was sprayed last on one of its pieces is capped for it. What is
     * sprayed elsewhere in between does not save that evening.
     */
    public function waits(int $entry, int $sprayed): bool
    {
        foreach ($this->patches[$entry] as $patch) {
            if (($this->on[$patch->piece] & $sprayed & ~(1 << $entry)) !== 0) {
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
     * The problem in parts that have nothing to do with one another: no piece, no paint and no must in common. Whatever is
     * sprayed between, each costs the same.
     *
     * @return list<array{list<int>, self}> the entries of each, and the problem they are
     */
    public function parts(): array
    {
        $part = array_keys($this->entries);
        $join = static function (int $a, int $b) use (&$part): void {
            [$from, $to] = [max($part[$a], $part[$b]), min($part[$a], $part[$b])];
            $part = array_map(static fn (int $p): int => $p === $from ? $to : $p, $part);
        };
        foreach (array_keys($this->entries) as $i) {
            for ($other = 0, $n = $this->count(); $other < $n; $other++) {
                if ($this->hangTogether($i, $other)) {
                    $join($i, $other);
                }
            }
        }
        $parts = [];
        foreach (array_unique($part) as $first) {
            $of = array_keys($part, $first, true);
            $parts[] = [$of, $this->only($of)];
        }

        return $parts;
    }

    /** Whether it matters which of two is sprayed first: they have a piece, a paint or a must in common. */
    public function hangTogether(int $a, int $b): bool
    {
        return ($this->with[$a] >> $b & 1) === 1;
    }

    /** Whether another entry is sprayed with the same paint. */
    public function returns(int $entry): bool
    {
        return $this->returns[$entry];
    }

    /** @param  list<int>  $of  entries */
    private function only(array $of): self
    {
        $place = array_flip($of);
        $entries = array_map(function (int $i) use ($of): Entry {
            $after = 0;
            foreach ($of as $to => $from) {
                $after |= ($this->entries[$i]->after >> $from & 1) << $to;
            }

            return new Entry($this->entries[$i]->id, $this->entries[$i]->paint, $after);
        }, $of);
        $areas = array_filter($this->areas, static fn (Patch $a): bool => isset($place[$a->entry]));

        return new self($entries, array_values(array_map(static fn (Patch $a): Patch => $a->renamed($place), $areas)), $this->shades, $this->evening);
    }
}
