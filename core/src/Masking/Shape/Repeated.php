<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/** Hazard stripes, chequers, chevrons, and strips with marks. */
final class Repeated
{
    /** Pieces one pattern may have. */
    private const MOST = 400;

    /** @return list<Template> */
    public static function templates(): array
    {
        $field = [new Field('width', 'width of the field, or once round', Field::MM, 40.0), new Field('height', 'height of the field', Field::MM, 12.0)];
        $round = new Field('round', 'it goes round a body: 1, else 0', Field::COUNT, 0.0, 0, 1);

        return [
            new Template('hazard-stripes', 'Hazard stripes', 'warning stripes across a field or round a body', [...$field, new Field('stripe', 'width of a stripe, along the field', Field::MM, 5.0), new Field('angle', 'angle to the field', Field::DEGREES, 45.0, 20, 90), $round], self::hazard(...), false),
            new Template('chequers', 'Chequers', 'fields in two colours', [...$field, new Field('across', 'fields across', Field::COUNT, 8.0, 1, 60), new Field('down', 'fields down', Field::COUNT, 2.0, 1, 60), $round], self::chequers(...), false),
            new Template('chevrons', 'Chevrons', 'arrows that follow one another', [...$field, new Field('stripe', 'width of a chevron, along the field', Field::MM, 5.0), new Field('angle', 'angle to the field', Field::DEGREES, 45.0, 20, 80), $round], self::chevrons(...), false),
            new Template('rivets', 'Rivet and line guide', 'a strip along which lines and rivets are set', [new Field('length', 'length', Field::MM, 50.0), new Field('pitch', 'from mark to mark', Field::MM, 2.0, 0.2), new Field('strip', 'width of the strip', Field::MM, 6.0), new Field('curve', 'radius of the line, 0 where it is straight', Field::MM, 0.0, 0)], self::rivets(...), false),
        ];
    }

    /**
     * Stripes as wide as the gaps between them. Round a body the nearest whole number of pairs, so that none meets in half a one.
     *
     * @return non-empty-list<Shape>
     */
    private static function hazard(Measures $m): array
    {
        [$stripe, $n, $figures] = self::pitch($m);
        [$w, $h] = [$m->of('width'), $m->of('height')];
        $lean = $m->of('angle') < 90 ? $h / tan(deg2rad($m->of('angle'))) : 0.0;
        $cuts = [];
        // What leans over the end comes in again at the begin, where it goes round; else the field cuts it off.
        for ($i = -(int) ceil($lean / (2 * $stripe)) - 1; $i <= $n; $i++) {
            $x = 2 * $stripe * $i;
            $cut = Clip::toField([[$x, 0.0], [$x + $stripe, 0.0], [$x + $stripe + $lean, $h], [$x + $lean, $h]], $w, $h);
            if ($cut !== null) {
                $cuts[] = Path::polygon($cut);
            }
        }

        return [new Shape(self::some($cuts), [self::frame($w, $h)], $figures, self::measured($w, $h))];
    }

    /** @return non-empty-list<Shape> */
    private static function chevrons(Measures $m): array
    {
        [$stripe, $n, $figures] = self::pitch($m);
        [$w, $h] = [$m->of('width'), $m->of('height')];
        $lean = $h / 2 / tan(deg2rad($m->of('angle')));
        $cuts = [];
        for ($i = -(int) ceil($lean / (2 * $stripe)) - 1; $i <= $n; $i++) {
            $x = 2 * $stripe * $i;
            $whole = Clip::toField([[$x, 0.0], [$x + $stripe, 0.0], [$x + $stripe + $lean, $h / 2], [$x + $stripe, $h], [$x, $h], [$x + $lean, $h / 2]], $w, $h);
            if ($whole !== null) {
                $cuts[] = Path::polygon($whole);
            }
        }

        return [new Shape(self::some($cuts), [self::frame($w, $h)], $figures, self::measured($w, $h))];
    }

    /** @return non-empty-list<Shape> */
    private static function chequers(Measures $m): array
    {
        [$w, $h, $across, $down] = [$m->of('width'), $m->of('height'), $m->count('across'), $m->count('down')];
        if ($m->count('round') === 1 && $across % 2 === 1) {
            throw BadDocument::at('across', "is {$across}: round a body two of one colour would meet", 'give '.($across - 1).' or '.($across + 1));
        }
        $cuts = [];
        for ($i = 0; $i < $across; $i++) {
            for ($j = $i % 2; $j < $down; $j += 2) {
                [$x, $y, $a, $b] = [$w * $i / $across, $h * $j / $down, $w / $across, $h / $down];
                $cuts[] = Path::polygon([[$x, $y], [$x + $a, $y], [$x + $a, $y + $b], [$x, $y + $b]]);
            }
        }

        return [new Shape(self::some($cuts), [self::frame($w, $h)], ['a field across, mm' => $w / $across, 'a field down, mm' => $h / $down], self::measured($w, $h))];
    }

    /** @return non-empty-list<Shape> */
    private static function rivets(Measures $m): array
    {
        [$length, $pitch, $strip, $curve] = [$m->of('length'), $m->of('pitch'), $m->of('strip'), $m->of('curve')];
        $n = (int) floor($length / $pitch + 1e-9);
        if ($n > self::MOST) {
            throw BadDocument::at('pitch', "makes {$n} marks", sprintf('give %.2f mm or more', $length / self::MOST));
        }
        if ($curve > 0 && $length > 2 * M_PI * $curve * 0.99) {
            throw BadDocument::at('length', sprintf('goes more than once round a radius of %.1f mm', $curve), sprintf('give %.1f mm at most', 2 * M_PI * $curve * 0.99));
        }
        $at = static function (float $s, float $off) use ($curve): array {
            $r = $curve + $off;

            return $curve > 0 ? [$r * sin($s / $curve), $r * cos($s / $curve) - $curve] : [$s, $off];
        };
        $marks = [];
        for ($i = 0; $i <= $n; $i++) {
            $marks[] = Path::line([$at($i * $pitch, 0.0), $at($i * $pitch, -min(1.0, $strip / 3))]);
        }
        $bend = $curve > 0 ? Path::bulge($length / $curve) : 0.0;
        $outline = new Path([[...$at(0.0, 0.0), -$bend], [...$at($length, 0.0), 0.0], [...$at($length, -$strip), $bend], [...$at(0.0, -$strip), 0.0]]);
        if ($curve > 0 && $curve <= $strip) {
            throw BadDocument::at('curve', 'is not over the width of the strip', sprintf('give more than %.1f mm, or a narrower strip', $strip));
        }

        return [new Shape([$outline], $marks, ['marks' => $n + 1.0], [[$at(0.0, 0.0), $at($length, 0.0), sprintf('length %.1f', $length)]])];
    }

    /**
     * @return array{float, int, array<string, float>} width of a stripe, mm; how many; what of it is said
     */
    private static function pitch(Measures $m): array
    {
        [$w, $stripe] = [$m->of('width'), $m->of('stripe')];
        $n = $m->count('round') === 1 ? max(1, (int) round($w / (2 * $stripe))) : (int) ceil($w / (2 * $stripe));
        if ($n > self::MOST / 2) {
            throw BadDocument::at('stripe', "makes {$n} stripes", sprintf('give %.2f mm or more', $w / self::MOST));
        }

        return $m->count('round') === 1 ? [$w / (2 * $n), $n, ['stripes round it' => (float) $n, 'width of one, mm' => $w / (2 * $n)]] : [$stripe, $n, ['width of one, mm' => $stripe]];
    }

    private static function frame(float $w, float $h): Path
    {
        return Path::polygon([[0.0, 0.0], [$w, 0.0], [$w, $h], [0.0, $h]]);
    }

    /** @return list<array{array{float, float}, array{float, float}, string}> */
    private static function measured(float $w, float $h): array
    {
        return [[[0.0, 0.0], [$w, 0.0], sprintf('width %.1f', $w)], [[0.0, 0.0], [0.0, $h], sprintf('height %.1f', $h)]];
    }

    /**
     * @param  list<Path>  $cuts
     * @return non-empty-list<Path>
     */
    private static function some(array $cuts): array
    {
        return $cuts === [] ? throw BadDocument::at('stripe', 'leaves no stripe in the field', 'give a narrower one') : $cuts;
    }
}
