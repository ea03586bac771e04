<?php

declare(strict_types=1);

namespace AmberStep\Core\Section\Stages;

/**
 * A piece drawn as a plate of tiles, sized by cm², neighbours touching where they share an edge. It is no drawing of the
 * piece: what is known of it is areas and the edges between them.
 */
final readonly class Plate
{
    /** Width to height. */
    public const ASPECT = 2.3;

    /** Tiles up to which all orders are tried. */
    private const TRY_ALL = 6;

    /** No tile is drawn smaller than this share of the plate: it has to be seen. */
    private const LEAST = 0.04;

    /** Tiles longer than so many times their width are hard to read. */
    private const LONG = 4.0;

    /** @var array<string, array{float, float, float, float}> x, y, width, height in a plate of ASPECT by 1, by area */
    public array $tiles;

    /** @var float mm of shared edges whose tiles touch, as a share of all */
    public float $touching;

    /**
     * @param  non-empty-array<string, float>  $cm2  by area
     * @param  list<array{string, string, float}>  $edges  areas that meet, and mm
     */
    public function __construct(array $cm2, array $edges)
    {
        $all = array_sum($cm2);
        $sizes = array_map(static fn (float $one): float => max($one / $all, self::LEAST), $cm2);
        $order = self::alongEdges(array_keys($sizes), $edges);
        [$best, $score] = [[], -INF];
        foreach ([[$order], count($order) <= self::TRY_ALL ? self::permutations($order) : self::swaps($order)] as $orders) {
            foreach ($orders as $other) {
                foreach ([null, true, false] as $across) {
                    $tiles = self::laid($other, $sizes, 0.0, 0.0, self::ASPECT, 1.0, $across);
                    $its = self::score($tiles, $edges);
                    if ($its > $score + 1e-9) {
                        [$best, $score] = [$tiles, $its];
                    }
                }
            }
        }
        $this->tiles = $best;
        $mm = array_sum(array_column($edges, 2));
        $this->touching = $mm > 0 ? array_sum(array_map(static fn (array $e): float => self::touch($best[$e[0]], $best[$e[1]]) > 0 ? $e[2] : 0.0, $edges)) / $mm : 1.0;
    }

    /**
     * Each next to one it shares an edge with, as far as there is one: the longest edge first.
     *
     * @param  non-empty-list<string>  $ids
     * @param  list<array{string, string, float}>  $edges
     * @return non-empty-list<string>
     */
    private static function alongEdges(array $ids, array $edges): array
    {
        $order = [array_shift($ids)];
        while ($ids !== []) {
            $most = [-1.0, 0];
            foreach ($ids as $i => $id) {
                $mm = 0.0;
                foreach ($edges as [$a, $b, $length]) {
                    $mm += ($a === $id && in_array($b, $order, true)) || ($b === $id && in_array($a, $order, true)) ? $length : 0.0;
                }
                $most = $mm > $most[0] ? [$mm, $i] : $most;
            }
            $order[] = $ids[$most[1]];
            array_splice($ids, $most[1], 1);
        }

        return $order;
    }

    /**
     * The list cut where its halves are most alike in size, and so on: across the longer side, or one way and then the other.
     *
     * @param  non-empty-list<string>  $ids
     * @param  array<string, float>  $sizes
     * @param  bool|null  $across  null: the longer side decides each time
     * @return array<string, array{float, float, float, float}>
     */
    private static function laid(array $ids, array $sizes, float $x, float $y, float $w, float $h, ?bool $across): array
    {
        if (count($ids) === 1) {
            return [$ids[0] => [$x, $y, $w, $h]];
        }
        $all = array_sum(array_map(static fn (string $id): float => $sizes[$id], $ids));
        $best = [INF, 1, 0.5];
        $sum = 0.0;
        for ($i = 1; $i < count($ids); $i++) {
            $sum += $sizes[$ids[$i - 1]];
            $best = abs($sum / $all - 0.5) < $best[0] ? [abs($sum / $all - 0.5), $i, $sum / $all] : $best;
        }
        [, $cut, $share] = $best;
        /** @var non-empty-list<string> $first */
        $first = array_slice($ids, 0, $cut);
        /** @var non-empty-list<string> $rest */
        $rest = array_slice($ids, $cut);

        $next = $across === null ? null : ! $across;

        return $across ?? $w >= $h
            ? self::laid($first, $sizes, $x, $y, $w * $share, $h, $next) + self::laid($rest, $sizes, $x + $w * $share, $y, $w * (1 - $share), $h, $next)
            : self::laid($first, $sizes, $x, $y, $w, $h * $share, $next) + self::laid($rest, $sizes, $x, $y + $h * $share, $w, $h * (1 - $share), $next);
    }

    /**
     * mm of edges that touch, less what makes tiles hard to read.
     *
     * @param  array<string, array{float, float, float, float}>  $tiles
     * @param  list<array{string, string, float}>  $edges
     */
    private static function score(array $tiles, array $edges): float
    {
        $score = 0.0;
        foreach ($edges as [$a, $b, $mm]) {
            $score += self::touch($tiles[$a], $tiles[$b]) > 0.03 ? $mm : 0.0;
        }
        foreach ($tiles as [, , $w, $h]) {
            $score -= max(0.0, max($w / $h, $h / $w) - self::LONG);
        }

        return $score;
    }

    /**
     * Length along which two tiles touch.
     *
     * @param  array{float, float, float, float}  $a
     * @param  array{float, float, float, float}  $b
     */
    public static function touch(array $a, array $b): float
    {
        $beside = abs($a[0] + $a[2] - $b[0]) < 1e-6 || abs($b[0] + $b[2] - $a[0]) < 1e-6;
        $over = abs($a[1] + $a[3] - $b[1]) < 1e-6 || abs($b[1] + $b[3] - $a[1]) < 1e-6;

        return max(
            $beside ? min($a[1] + $a[3], $b[1] + $b[3]) - max($a[1], $b[1]) : 0.0,
            $over ? min($a[0] + $a[2], $b[0] + $b[2]) - max($a[0], $b[0]) : 0.0,
        );
    }

    /**
     * @param  non-empty-list<string>  $ids
     * @return iterable<non-empty-list<string>>
     */
    private static function swaps(array $ids): iterable
    {
        for ($a = 0; $a < count($ids); $a++) {
            for ($b = $a + 1; $b < count($ids); $b++) {
                $other = $ids;
                [$other[$a], $other[$b]] = [$ids[$b], $ids[$a]];
                yield array_values($other);
            }
        }
    }

    /**
     * @param  non-empty-list<string>  $ids
     * @return iterable<non-empty-list<string>>
     */
    private static function permutations(array $ids): iterable
    {
        if (count($ids) === 1) {
            yield $ids;

            return;
        }
        foreach ($ids as $i => $first) {
            $rest = $ids;
            array_splice($rest, $i, 1);
            foreach ($rest === [] ? [] : self::permutations($rest) as $order) {
                yield [$first, ...$order];
            }
        }
    }
}
