<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Masking;

use AmberStep\Core\Masking\Order\Entry;
use AmberStep\Core\Masking\Order\OrderProblem;
use AmberStep\Core\Masking\Order\Patch;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Colours on pieces, drawn from a seed; and what an order of them costs, summed up plainly as the handbook has it: walking
 * along the order, with what lies open and what is capped written down area by area.
 */
final class DrawnOrder
{
    public OrderProblem $problem;

    /** @var list<array{entry: int, piece: string, cm2: float, shades: list<int>, over: array<int, int>}> */
    private array $areas = [];

    /** @var list<array{int, int, float, float, bool}> two areas, cm, minutes, soft */
    private array $edges = [];

    /** @var list<string> */
    private array $paints = [];

    /** @var list<list<int>> entries before each */
    private array $before = [];

    /** @var list<array{int, int}>|null entries that hang together */
    private ?array $pairs = null;

    public function __construct(int $seed, ?int $colours = null, int $atMost = 6)
    {
        $random = new Randomizer(new Mt19937($seed));
        $n = $colours ?? $random->getInt(2, 7);
        // Every third has a colour that returns.
        for ($i = 0; $i < $n; $i++) {
            $this->paints[] = $seed % 3 === 0 && $i === $n - 1 ? 'paint 0' : "paint {$i}";
        }
        $shades = $seed % 2 === 0 ? ['own', 'white', 'black'] : ['own'];
        foreach (range(0, $random->getInt(1, 4)) as $piece) {
            $on = [];
            foreach (range(0, $random->getInt(1, $atMost - 1)) as $_) {
                $entry = $random->getInt(0, $n - 1);
                $over = [];
                for ($other = 0; $other < $n; $other++) {
                    $over[$other] = $random->getInt(2, 7);
                }
                $on[] = count($this->areas);
                $this->areas[] = ['entry' => $entry, 'piece' => "piece {$piece}", 'cm2' => $random->getInt(5, 300) / 10, 'shades' => array_map(static fn (): int => $random->getInt(2, 8), $shades), 'over' => $over];
            }
            foreach ($on as $k => $a) {
                foreach (array_slice($on, $k + 1) as $b) {
                    if ($random->getInt(0, 1) === 1 && $this->areas[$a]['entry'] !== $this->areas[$b]['entry']) {
                        $this->edges[] = [$a, $b, $cm = $random->getInt(5, 120) / 10, $cm * [0.2, 0.4, 0.7][$random->getInt(0, 2)], $random->getInt(0, 2) > 0];
                    }
                }
            }
        }
        for ($i = 0; $i < $n; $i++) {
            $this->before[$i] = $seed % 4 === 0 && $i > 0 && $random->getInt(0, 3) === 0 ? [$random->getInt(0, $i - 1)] : [];
        }
        $this->problem = $this->posed($shades);
    }

    /** @param  list<string>  $shades */
    private function posed(array $shades): OrderProblem
    {
        $patches = [];
        foreach ($this->areas as $i => $area) {
            $over = $edges = $fringes = [];
            foreach ($this->edges as [$a, $b, $cm, $minutes, $soft]) {
                $other = $a === $i ? $b : ($b === $i ? $a : null);
                if ($other !== null) {
                    $entry = $this->areas[$other]['entry'];
                    $over[$entry] = $area['over'][$entry];
                    // Of every soft edge the entry with the higher number is taken for the darker.
                    $fringes[$entry] = ($fringes[$entry] ?? 0.0) + ($soft && $entry > $area['entry'] ? 0.1 * $cm : 0.0);
                    $edges[$entry] = [($edges[$entry][0] ?? 0.0) + $cm, ($edges[$entry][1] ?? 0.0) + $minutes, ($edges[$entry][2] ?? false) || $soft];
                }
            }
            $patches[] = new Patch($area['entry'], $area['piece'], $area['cm2'], $area['shades'], $over, $edges, $fringes);
        }
        $entries = [];
        foreach ($this->paints as $i => $paint) {
            $entries[] = new Entry("entry {$i}", $paint, array_sum(array_map(static fn (int $b): int => 1 << $b, $this->before[$i])));
        }

        return new OrderProblem($entries, $patches, $shades, 30);
    }

    /**
     * Minutes of the edges of an area to what is to come, and whether one of them is soft.
     *
     * @param  array<int, true>  $done  areas
     * @return array{float, bool}
     */
    private function toCome(int $i, array $done): array
    {
        $edge = 0.0;
        $isSoft = false;
        foreach ($this->edges as [$a, $b, , $minutes, $soft]) {
            $other = $a === $i ? $b : ($b === $i ? $a : null);
            if ($other !== null && ! isset($done[$other])) {
                $edge += $minutes;
                $isSoft = $isSoft || $soft;
            }
        }

        return [$edge, $isSoft];
    }

    /**
     * What of an order matters: which of two that have a piece, a paint or a must in common is sprayed first; a bit each.
     *
     * @param  list<int>  $order
     */
    public function mark(array $order): int
    {
        if ($this->pairs === null) {
            $this->pairs = [];
            foreach ($this->paints as $a => $_) {
                for ($b = 0; $b < $a; $b++) {
                    array_push($this->pairs, ...($this->hangTogether($a, $b) ? [[$a, $b]] : []));
                }
            }
        }
        $place = array_flip($order);
        $mark = 0;
        foreach ($this->pairs as [$a, $b]) {
            $mark = $mark << 1 | ($place[$a] < $place[$b] ? 1 : 0);
        }

        return $mark;
    }

    private function hangTogether(int $a, int $b): bool
    {
        $pieces = fn (int $entry): array => array_column(array_filter($this->areas, static fn (array $area): bool => $area['entry'] === $entry), 'piece');

        return $this->paints[$a] === $this->paints[$b] || in_array($a, $this->before[$b], true) || in_array($b, $this->before[$a], true) || array_intersect($pieces($a), $pieces($b)) !== [];
    }

    /** @param  list<int>  $order */
    public function isAllowed(array $order): bool
    {
        foreach ($this->before as $entry => $firsts) {
            foreach ($firsts as $first) {
                if (array_search($first, $order, true) > array_search($entry, $order, true)) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param  list<int>  $order
     * @param  list<int>  $extra  shades that are used besides the own
     */
    public function minutes(array $order, array $extra): float
    {
        $minutes = 8.0 * count($extra);
        $done = $capped = [];
        foreach ($order as $place => $entry) {
            $minutes += $place > 0 && $this->paints[$order[$place - 1]] === $this->paints[$entry] ? 0 : 8;
            $here = array_unique(array_column(array_filter($this->areas, static fn (array $a): bool => $a['entry'] === $entry), 'piece'));
            $waits = false;
            $before = $capped;
            foreach ($done as $i => $_) {
                if (! isset($capped[$i]) && in_array($this->areas[$i]['piece'], $here, true)) {
                    $capped[$i] = $waits = true;
                    $minutes += 0.05 * $this->areas[$i]['cm2'] + 0.5;
                    foreach ($this->edges as [$a, $b, , $edge]) {
                        $other = $a === $i ? $b : ($b === $i ? $a : null);
                        $minutes += $other !== null && ! isset($done[$other]) ? $edge : 0;
                    }
                }
            }
            $minutes += $waits ? 30 : 0;
            foreach ($capped as $i => $wasSoft) {
                if (in_array($this->areas[$i]['piece'], $here, true)) {
                    [$edge, $isSoft] = $this->toCome($i, $done);
                    // What lay soft through the stage before is laid anew.
                    $minutes += $wasSoft && isset($before[$i]) ? $edge + 0.05 * $this->areas[$i]['cm2'] + 0.5 : 0;
                    $capped[$i] = $isSoft;
                }
            }
            foreach ($this->areas as $i => $area) {
                if ($area['entry'] !== $entry) {
                    continue;
                }
                $coats = min(array_map(static fn (int $s): int => $area['shades'][$s], [0, ...$extra]));
                foreach ($this->edges as [$a, $b, $cm, , $soft]) {
                    $other = $a === $i ? $b : ($b === $i ? $a : null);
                    if ($other !== null && isset($done[$other])) {
                        $minutes += $soft && $this->areas[$other]['entry'] > $entry ? 0.1 * $cm : 0;
                        $coats = max($coats, $area['over'][$this->areas[$other]['entry']]);
                    }
                }
                $minutes += $coats * (1 + 0.05 * $area['cm2']);
            }
            foreach ($this->areas as $i => $area) {
                if ($area['entry'] === $entry) {
                    $done[$i] = true;
                }
            }
        }

        return $minutes;
    }
}
