<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/** Shapes laid on a sheet, 2 mm apart, numbered, inner cuts first (handbook 7). */
final readonly class Sheet
{
    /** mm between two shapes, and to the edge of the sheet. */
    public const GAP = 2.0;

    /** Orders tried, besides the largest first. */
    private const TRIES = 60;

    /** @var list<Shape> where they lie; x to the right, y upwards from the bottom left corner */
    public array $shapes;

    /** mm of the sheet that is used, from its lower edge. */
    public float $height;

    /** Share of what is used that is shapes. */
    public float $used;

    /**
     * @param  non-empty-list<Shape>  $shapes
     * @param  float  $width  of the sheet, mm
     *
     * @throws BadDocument where one is wider than the sheet
     */
    public function __construct(array $shapes, public float $width)
    {
        $boxes = array_map(static fn (Shape $s): array => $s->box(), $shapes);
        $sizes = array_map(static fn (array $b): array => [$b[2] - $b[0], $b[3] - $b[1]], $boxes);
        foreach ($sizes as $i => [$w, $h]) {
            if (min($w, $h) + 2 * self::GAP > $width) {
                throw BadDocument::at('sheet', sprintf('of %.0f mm is too narrow for shape %d, %.1f by %.1f mm', $width, $i + 1, $w, $h), sprintf('give %.0f mm or more', ceil(min($w, $h) + 2 * self::GAP)));
            }
        }
        [$places, $height] = self::nested($sizes, $width);
        $laid = [];
        foreach ($shapes as $i => $shape) {
            [$x, $y, $turned] = $places[$i];
            $laid[] = $turned ? $shape->placed(M_PI / 2, $x + $boxes[$i][3], $y - $boxes[$i][0]) : $shape->placed(0, $x - $boxes[$i][0], $y - $boxes[$i][1]);
        }
        $this->shapes = $laid;
        $this->height = $height;
        $this->used = array_sum(array_map(static fn (Shape $s): float => $s->area(), $shapes)) / ($width * $height);
    }

    /**
     * Each as low, then as far left as it goes, either way round; the largest first, and in other orders while that makes the
     * sheet shorter. The same shapes always lie the same.
     *
     * @param  non-empty-list<array{float, float}>  $sizes
     * @return array{array<int, array{float, float, bool}>, float} places, and the height that is used
     */
    private static function nested(array $sizes, float $width): array
    {
        $order = array_keys($sizes);
        usort($order, static fn (int $a, int $b): int => [max($sizes[$b]), min($sizes[$b]), $a] <=> [max($sizes[$a]), min($sizes[$a]), $b]);
        $best = Skyline::laid($sizes, $order, $width, self::GAP);
        $orders = [$order];
        usort($order, static fn (int $a, int $b): int => [$sizes[$b][0] * $sizes[$b][1], $a] <=> [$sizes[$a][0] * $sizes[$a][1], $b]);
        $orders[] = $order;
        $n = count($order);
        for ($i = 0; $i < self::TRIES && $n > 1; $i++) {
            $other = $orders[$i % 2];
            // Two that are some way apart change places: the same pairs each time.
            [$a, $b] = [$i % $n, ($i * 7 + 1 + intdiv($i, $n)) % $n];
            [$one, $two] = [$other[$a], $other[$b]];
            $orders[] = array_values(array_replace($other, [$a => $two, $b => $one]));
        }
        foreach (array_slice($orders, 1) as $other) {
            $one = Skyline::laid($sizes, $other, $width, self::GAP);
            $best = $one[1] < $best[1] - 1e-9 ? $one : $best;
        }

        return $best;
    }
}
