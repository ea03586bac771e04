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

    /** @var list<array{int, int, float, float}> two areas, cm, minutes */
    private array $edges = [];

    /** @var list<string> */
    private array $paints = [];

    /** @var list<list<int>> entries before each */
    private array $before = [];

    public function __construct(int $seed, ?int $colours = null)
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
            foreach (range(0, $random->getInt(1, 5)) as $_) {
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
                        $this->edges[] = [$a, $b, $cm = $random->getInt(5, 120) / 10, $cm * [0.2, 0.4, 0.7][$random->getInt(0, 2)]];
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
            $over = $edges = [];
            foreach ($this->edges as [$a, $b, $cm, $minutes]) {
                $other = $a === $i ? $b : ($b === $i ? $a : null);
                if ($other !== null) {
                    $entry = $this->areas[$other]['entry'];
                    $over[$entry] = $area['over'][$entry];
                    $edges[$entry] = [($edges[$entry][0] ?? 0.0) + $cm, ($edges[$entry][1] ?? 0.0) + $minutes];
                }
            }
            $patches[] = new Patch($area['entry'], $area['piece'], $area['cm2'], $area['shades'], $over, $edges);
        }
        $entries = [];
        foreach ($this->paints as $i => $paint) {
            $entries[] = new Entry("entry {$i}", $paint, array_sum(array_map(static fn (int $b): int => 1 << $b, $this->before[$i])));
        }

        return new OrderProblem($entries, $patches, $shades, 30);
    }

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
            foreach ($done as $i => $_) {
                $waits = $waits || ($this->areas[$i]['entry'] === $order[$place - 1] && in_array($this->areas[$i]['piece'], $here, true));
                if (! isset($capped[$i]) && in_array($this->areas[$i]['piece'], $here, true)) {
                    $capped[$i] = true;
                    $minutes += 0.05 * $this->areas[$i]['cm2'] + 0.5;
                    foreach ($this->edges as [$a, $b, , $edge]) {
                        $other = $a === $i ? $b : ($b === $i ? $a : null);
                        $minutes += $other !== null && ! isset($done[$other]) ? $edge : 0;
                    }
                }
            }
            $minutes += $waits ? 30 : 0;
            foreach ($this->areas as $i => $area) {
                if ($area['entry'] !== $entry) {
                    continue;
                }
                $coats = min(array_map(static fn (int $s): int => $area['shades'][$s], [0, ...$extra]));
                foreach ($this->edges as [$a, $b]) {
                    $other = $a === $i ? $b : ($b === $i ? $a : null);
                    if ($other !== null && isset($done[$other])) {
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
