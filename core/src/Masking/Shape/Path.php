<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

/**
 * A line that is cut or marked, in mm, y upwards: corners, and how each side to the next bends. A bulge is the tangent of a
 * quarter of the arc's angle, positive when it turns to the left; 0 is straight.
 */
final readonly class Path
{
    /** mm by which a bend may be cut short where it is followed by straight pieces. */
    private const TRUE_TO = 0.01;

    /** @param  non-empty-list<array{float, float, float}>  $points  x, y, and the bulge of the side that begins there */
    public function __construct(public array $points, public bool $closed = true)
    {
    }

    /** @param  non-empty-list<array{float, float}>  $corners */
    public static function polygon(array $corners): self
    {
        return new self(array_map(static fn (array $c): array => [$c[0], $c[1], 0.0], $corners));
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    public static function line(array $points): self
    {
        return new self(array_map(static fn (array $p): array => [$p[0], $p[1], 0.0], $points), false);
    }

    public static function circle(float $x, float $y, float $radius): self
    {
        return new self([[$x - $radius, $y, 1.0], [$x + $radius, $y, 1.0]]);
    }

    /** The bulge of an arc of so many radians, to the left where positive. */
    public static function bulge(float $radians): float
    {
        return tan($radians / 4);
    }

    public function mirrored(): self
    {
        return new self(array_map(static fn (array $p): array => [-$p[0], $p[1], -$p[2]], $this->points), $this->closed);
    }

    public function moved(float $x, float $y): self
    {
        return new self(array_map(static fn (array $p): array => [$p[0] + $x, $p[1] + $y, $p[2]], $this->points), $this->closed);
    }

    /** Turned about the origin to the left. */
    public function turned(float $radians): self
    {
        [$sin, $cos] = [sin($radians), cos($radians)];

        return new self(array_map(static fn (array $p): array => [$p[0] * $cos - $p[1] * $sin, $p[0] * $sin + $p[1] * $cos, $p[2]], $this->points), $this->closed);
    }

    /** mm along it, bends as they are. */
    public function length(): float
    {
        return array_sum(array_map(static function (array $side): float {
            [$a, $b, $bulge] = $side;
            $chord = hypot($b[0] - $a[0], $b[1] - $a[1]);
            $angle = 4 * atan(abs($bulge));

            return $angle === 0.0 ? $chord : $chord / 2 / sin($angle / 2) * $angle;
        }, $this->sides()));
    }

    /** mm², bends as they are; of a closed path. */
    public function area(): float
    {
        $twice = 0.0;
        foreach ($this->sides() as [$a, $b, $bulge]) {
            $twice += $a[0] * $b[1] - $b[0] * $a[1];
            $angle = 4 * atan($bulge);
            if ($bulge !== 0.0) {
                $radius = hypot($b[0] - $a[0], $b[1] - $a[1]) / 2 / sin(abs($angle) / 2);
                $twice += ($bulge > 0 ? 1 : -1) * $radius ** 2 * (abs($angle) - sin(abs($angle)));
            }
        }

        return abs($twice) / 2;
    }

    /** @return array{float, float, float, float} left, bottom, right, top */
    public function box(): array
    {
        $points = array_map(static fn (array $p): array => [$p[0], $p[1]], $this->points);
        foreach ($this->sides() as [$a, $b, $bulge]) {
            if ($bulge === 0.0) {
                continue;
            }
            // A bend goes furthest where it crosses an axis through its centre.
            [$x, $y, $radius, $from, $angle] = self::arc($a, $b, $bulge);
            for ($quarter = (int) ceil(min($from, $from + $angle) / (M_PI / 2) - 1e-9), $to = max($from, $from + $angle); $quarter * M_PI / 2 <= $to + 1e-9; $quarter++) {
                $points[] = [$x + $radius * cos($quarter * M_PI / 2), $y + $radius * sin($quarter * M_PI / 2)];
            }
        }

        return [min(array_column($points, 0)), min(array_column($points, 1)), max(array_column($points, 0)), max(array_column($points, 1))];
    }

    /** @return non-empty-list<array{float, float}> corners of straight pieces that are true to it by a hundredth of a mm */
    public function straight(): array
    {
        $points = [[$this->points[0][0], $this->points[0][1]]];
        foreach ($this->sides() as [$a, $b, $bulge]) {
            if ($bulge !== 0.0) {
                [$x, $y, $radius, $from, $angle] = self::arc($a, $b, $bulge);
                $pieces = max(2, (int) ceil(abs($angle) / (2 * acos(1 - self::TRUE_TO / max($radius, 2 * self::TRUE_TO)))));
                for ($i = 1; $i < $pieces; $i++) {
                    $points[] = [$x + $radius * cos($from + $angle * $i / $pieces), $y + $radius * sin($from + $angle * $i / $pieces)];
                }
            }
            $points[] = $b;
        }

        return $points;
    }

    /** As the data of an SVG path; there y goes down, so it is turned over. */
    public function svg(): string
    {
        $n = static fn (float $mm): string => rtrim(rtrim(number_format($mm, 4, '.', ''), '0'), '.');
        $data = 'M'.$n($this->points[0][0]).' '.$n(-$this->points[0][1]);
        foreach ($this->sides() as [$a, $b, $bulge]) {
            $angle = 4 * atan(abs($bulge));
            $data .= $bulge === 0.0
                ? 'L'.$n($b[0]).' '.$n(-$b[1])
                : 'A'.implode(' ', [$n($radius = hypot($b[0] - $a[0], $b[1] - $a[1]) / 2 / sin($angle / 2)), $n($radius), '0', $angle > M_PI ? '1' : '0', $bulge > 0 ? '0' : '1', $n($b[0]), $n(-$b[1])]);
        }

        return $data.($this->closed ? 'Z' : '');
    }

    /** @return list<array{array{float, float}, array{float, float}, float}> from, to, bulge */
    private function sides(): array
    {
        $sides = [];
        $n = count($this->points);
        for ($i = 0; $i < ($this->closed ? $n : $n - 1); $i++) {
            [$a, $b] = [$this->points[$i], $this->points[($i + 1) % $n]];
            $sides[] = [[$a[0], $a[1]], [$b[0], $b[1]], $a[2]];
        }

        return $sides;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @return array{float, float, float, float, float} centre, radius, where it begins and how far it turns, radians
     */
    private static function arc(array $a, array $b, float $bulge): array
    {
        $angle = 4 * atan($bulge);
        $chord = hypot($b[0] - $a[0], $b[1] - $a[1]);
        $radius = $chord / 2 / sin(abs($angle) / 2);
        // From the middle of the chord to its left by what is left of the radius.
        $off = ($bulge > 0 ? 1 : -1) * $radius * cos(abs($angle) / 2);
        $x = ($a[0] + $b[0]) / 2 - $off * ($b[1] - $a[1]) / $chord;
        $y = ($a[1] + $b[1]) / 2 + $off * ($b[0] - $a[0]) / $chord;

        return [$x, $y, $radius, atan2($a[1] - $y, $a[0] - $x), $angle];
    }
}
