<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/** Rectangles, polygons, discs, rings and arches. */
final class Plain
{
    /** @return list<Template> */
    public static function templates(): array
    {
        return [
            new Template('rectangle', 'Rectangle', 'a panel or hatch', [new Field('width', 'width', Field::MM, 20.0), new Field('height', 'height', Field::MM, 10.0), new Field('radius', 'radius of the corners', Field::MM, 0.0, 0)], self::rectangle(...)),
            new Template('polygon', 'Regular polygon', 'nuts, lattice panes', [new Field('sides', 'sides', Field::COUNT, 6.0, 3, 60), new Field('across', 'across the flats, or corner to flat', Field::MM, 12.0)], self::polygon(...)),
            new Template('disc', 'Disc', 'wheels, roundels', [new Field('diameter', 'diameter', Field::MM, 10.0)], self::disc(...)),
            new Template('ring', 'Ring', 'tyres, roundels', [new Field('outer', 'outer diameter', Field::MM, 14.0), new Field('inner', 'inner diameter', Field::MM, 10.0)], self::ring(...)),
            new Template('arch', 'Arch', 'a window or mudguard under a bow', [new Field('chord', 'chord', Field::MM, 22.0), new Field('rise', 'rise', Field::MM, 6.0)], self::arch(...)),
        ];
    }

    /** @return non-empty-list<Shape> */
    private static function rectangle(Measures $m): array
    {
        [$w, $h, $r, $g] = [$m->of('width'), $m->of('height'), $m->of('radius'), $m->grow];
        if (2 * $r > min($w, $h)) {
            throw BadDocument::at('radius', sprintf('is %.2f mm more than half the shorter side', $r - min($w, $h) / 2), sprintf('give %.2f mm at most', min($w, $h) / 2));
        }
        if (min($w, $h) + 2 * $g <= 0) {
            throw BadDocument::at('grow', 'leaves nothing of it', 'shrink it less');
        }
        // A corner that is grown grows its radius; a sharp one stays sharp.
        $r = $r > 0 ? max(0.0, $r + $g) : 0.0;
        [$l, $b, $t, $e] = [-$g, -$g, $h + $g, $w + $g];
        $k = Path::bulge(M_PI / 2);
        $path = $r <= 0 ? Path::polygon([[$l, $b], [$e, $b], [$e, $t], [$l, $t]])
            : new Path([[$l + $r, $b, 0.0], [$e - $r, $b, $k], [$e, $b + $r, 0.0], [$e, $t - $r, $k], [$e - $r, $t, 0.0], [$l + $r, $t, $k], [$l, $t - $r, 0.0], [$l, $b + $r, $k]]);

        return [new Shape([$path], [], [], [[[0.0, 0.0], [$w, 0.0], sprintf('width %.1f', $w)], [[$w, 0.0], [$w, $h], sprintf('height %.1f', $h)]])];
    }

    /** @return non-empty-list<Shape> */
    private static function polygon(Measures $m): array
    {
        $n = $m->count('sides');
        // Even: flat to flat. Odd: from a corner to the flat over against it.
        $flat = $n % 2 === 0 ? $m->of('across') / 2 : $m->of('across') / (1 + 1 / cos(M_PI / $n));
        if ($flat + $m->grow <= 0) {
            throw BadDocument::at('grow', 'leaves nothing of it', 'shrink it less');
        }
        $radius = ($flat + $m->grow) / cos(M_PI / $n);
        $corners = array_map(static function (int $i) use ($n, $radius): array {
            $at = -M_PI / 2 + M_PI / $n + 2 * M_PI * $i / $n;

            return [$radius * cos($at), $radius * sin($at)];
        }, range(0, $n - 1));

        return [new Shape([Path::polygon($corners)], [], ['side, mm' => 2 * $flat * tan(M_PI / $n)], [[[0.0, -$flat], [0.0, $m->of('across') - $flat], sprintf('across %.1f', $m->of('across'))]])];
    }

    /** @return non-empty-list<Shape> */
    private static function disc(Measures $m): array
    {
        $radius = $m->of('diameter') / 2;

        return [new Shape([Path::circle(0, 0, self::left($radius, $m->grow))], self::cross(min(2.0, $radius / 2)), [], [[[-$radius, 0.0], [$radius, 0.0], sprintf('diameter %.1f', 2 * $radius)]])];
    }

    /** @return non-empty-list<Shape> */
    private static function ring(Measures $m): array
    {
        [$outer, $inner] = [$m->of('outer') / 2, $m->of('inner') / 2];
        if ($inner >= $outer) {
            throw BadDocument::at('inner', sprintf('is not inside the outer of %.2f mm', 2 * $outer), 'measure both across');
        }

        return [new Shape([Path::circle(0, 0, self::left($outer, $m->grow)), Path::circle(0, 0, self::left($inner, -$m->grow))], [], ['width of the ring, mm' => $outer - $inner], [[[-$outer, 0.0], [$outer, 0.0], sprintf('outer %.1f', 2 * $outer)], [[0.0, -$inner], [0.0, $inner], sprintf('inner %.1f', 2 * $inner)]])];
    }

    /**
     * The piece of a circle over a chord: radius (c²/4 + r²) / 2r.
     *
     * @return non-empty-list<Shape>
     */
    private static function arch(Measures $m): array
    {
        [$chord, $rise, $g] = [$m->of('chord'), $m->of('rise'), $m->grow];
        $radius = ($chord ** 2 / 4 + $rise ** 2) / (2 * $rise);
        // The chord moves down and the bow out: where they meet then.
        $top = $rise + $g;
        $grown = $radius + $g;
        $below = -$g;
        $centre = $rise - $radius;
        $half = $grown > abs($below - $centre) ? sqrt($grown ** 2 - ($below - $centre) ** 2) : 0.0;
        if ($half <= 0 || $top <= $below) {
            throw BadDocument::at('grow', 'leaves nothing of it', 'shrink it less');
        }
        $angle = 2 * acos(($below - $centre) / $grown);

        return [new Shape([new Path([[-$half, $below, 0.0], [$half, $below, Path::bulge($angle)]])], [], ['radius, mm' => $radius], [[[-$chord / 2, 0.0], [$chord / 2, 0.0], sprintf('chord %.1f', $chord)], [[0.0, 0.0], [0.0, $rise], sprintf('rise %.1f', $rise)]])];
    }

    private static function left(float $radius, float $grow): float
    {
        return $radius + $grow > 0 ? $radius + $grow : throw BadDocument::at('grow', 'leaves nothing of it', 'shrink it less');
    }

    /** @return list<Path> a cross at the centre, for the point of the compass */
    private static function cross(float $mm): array
    {
        return [Path::line([[-$mm, 0.0], [$mm, 0.0]]), Path::line([[0.0, -$mm], [0.0, $mm]])];
    }
}
