<?php

declare(strict_types=1);

namespace AmberStep\Core\Seam;

use AmberStep\Core\Material\Grit;
use AmberStep\Core\Material\GritScale;

/**
 * From the deepest scratch there is to the last grit the next layer needs, with the grits one owns (handbook 4,
 * Ladder): fewest steps; of those the one whose worst step is mildest; then the coarser grit earlier. Where the
 * grits owned do not reach, with as few bought as possible.
 */
final readonly class Ladder
{
    /** Each particle at least so much of the one before it, or the old scratches are never reached. */
    public const LEAST = 0.55;

    /** µm: compound follows anything this fine. */
    public const FOR_COMPOUND = 7.0;

    /**
     * @param  list<Grit>  $steps  from the first to the last; the first is the scratch that is there
     * @param  list<Grit>  $missing  of them, what is not owned
     * @param  float  $worst  the least ratio of two neighbours; 1 where there is no step
     */
    private function __construct(public array $steps, public array $missing, public float $worst)
    {
    }

    /**
     * @param  list<Grit>  $owned  on whatever scales
     * @return self|null null where the wanted grit is not finer, or no grit on sale leads there
     */
    public static function between(Grit $from, Grit $to, array $owned): ?self
    {
        if ($to->microns >= $from->microns) {
            return $to->microns === $from->microns ? new self([$from], [], 1.0) : null;
        }
        $has = static fn (Grit $g): bool => array_filter($owned, static fn (Grit $o): bool => $o->label() === $g->label()) !== [];
        $rungs = self::rungs($from, $to, $owned);
        /** @var array<int, array<string, array{list<Grit>, int, float}>> $best by rung, then by "bought/steps": path, bought, worst ratio */
        $best = [0 => ['0/0' => [[$from], 0, 1.0]]];
        $last = count($rungs) - 1;
        for ($i = 1; $i <= $last; $i++) {
            for ($k = 0; $k < $i; $k++) {
                foreach (self::follows($rungs[$k], $rungs[$i]) ? $best[$k] ?? [] : [] as [$path, $bought, $worst]) {
                    $try = [[...$path, $rungs[$i]], $bought + ($has($rungs[$i]) ? 0 : 1), min($worst, self::ratio($rungs[$k], $rungs[$i]))];
                    $key = $try[1].'/'.count($try[0]);
                    if (! isset($best[$i][$key]) || $try[2] > $best[$i][$key][2]) {
                        $best[$i][$key] = $try;
                    }
                }
            }
        }
        $found = null;
        foreach ($best[$last] ?? [] as $try) {
            if ($found === null || [$try[1], count($try[0])] < [$found[1], count($found[0])]) {
                $found = $try;
            }
        }

        if ($found === null) {
            return null;
        }
        $steps = self::coarsestFirst($rungs, $has, $found[1], count($found[0]), $found[2]);

        return new self($steps, array_values(array_filter(array_slice($steps, 1), static fn (Grit $g): bool => ! $has($g))), $found[2]);
    }

    /**
     * Rungs the trade has settled, whoever owns what.
     *
     * @param  non-empty-list<Grit>  $rungs  coarse to fine
     * @param  list<Grit>  $owned
     */
    public static function settled(array $rungs, array $owned): self
    {
        $has = array_map(static fn (Grit $g): string => $g->label(), $owned);
        $worst = 1.0;
        for ($i = 1; $i < count($rungs); $i++) {
            $worst = min($worst, self::ratio($rungs[$i - 1], $rungs[$i]));
        }

        return new self($rungs, array_values(array_filter(array_slice($rungs, 1), static fn (Grit $g): bool => ! in_array($g->label(), $has, true))), $worst);
    }

    /** Whether a grit may follow another. */
    public static function follows(Grit $coarse, Grit $fine): bool
    {
        return $fine->microns < $coarse->microns && ($fine->isCompound() ? $coarse->microns <= self::FOR_COMPOUND : $fine->microns / $coarse->microns >= self::LEAST - 1e-9);
    }

    public static function ratio(Grit $coarse, Grit $fine): float
    {
        return $fine->isCompound() ? 1.0 : $fine->microns / $coarse->microns;
    }

    /**
     * What could be stood on, coarse to fine: what is owned, and what is sold.
     *
     * @param  list<Grit>  $owned
     * @return non-empty-list<Grit>
     */
    private static function rungs(Grit $from, Grit $to, array $owned): array
    {
        $between = [];
        foreach ([...Grit::all(GritScale::Fepa), ...$owned] as $grit) {
            if ($grit->microns < $from->microns && $grit->microns > $to->microns) {
                $between[$grit->label()] = $grit;
            }
        }
        $between = array_values($between);
        usort($between, static fn (Grit $a, Grit $b): int => [$b->microns, $a->label()] <=> [$a->microns, $b->label()]);

        return [$from, ...$between, $to];
    }

    /**
     * Of all ways with so many bought, so many steps and no step worse than so: the coarser grit earlier.
     *
     * @param  non-empty-list<Grit>  $rungs
     * @param  callable(Grit): bool  $has
     * @return list<Grit>
     */
    private static function coarsestFirst(array $rungs, callable $has, int $buys, int $length, float $worst): array
    {
        $last = count($rungs) - 1;
        $costs = array_map(static fn (Grit $g): int => $has($g) ? 0 : 1, $rungs);
        $costs[0] = 0;
        $steps = static fn (int $a, int $b): bool => self::follows($rungs[$a], $rungs[$b]) && self::ratio($rungs[$a], $rungs[$b]) >= $worst - 1e-12;
        /** @var array<string, bool> $known whether the end is reached from a rung with so many buys and rungs to go */
        $known = [];
        $leads = static function (int $at, int $buys, int $length) use (&$leads, &$known, $last, $costs, $steps): bool {
            if ($length === 1) {
                return $at === $last && $buys === 0;
            }

            return $known["{$at}/{$buys}/{$length}"] ??= array_filter(range($at, $last), static fn (int $next): bool => $next > $at && $costs[$next] <= $buys && $steps($at, $next) && $leads($next, $buys - $costs[$next], $length - 1) === true) !== [];
        };
        $path = [$rungs[0]];
        $at = 0;
        while ($at < $last) {
            $next = $at + 1;
            while ($next < $last && ! ($costs[$next] <= $buys && $steps($at, $next) && $leads($next, $buys - $costs[$next], $length - 1))) {
                $next++;
            }
            $path[] = $rungs[$next];
            $buys -= $costs[$next];
            $length--;
            $at = $next;
        }

        return $path;
    }
}
