<?php

declare(strict_types=1);

namespace AmberStep\Core\Colour;

/**
 * The eye and the light: CIE 1931 2° observer under D65, 380 to 730 nm in 10 nm, and sRGB.
 *
 * @phpstan-type Bands non-empty-list<float>
 */
final class Observer
{
    public const BANDS = 36;

    private const X = [0.001368, 0.004243, 0.01431, 0.04351, 0.13438, 0.2839, 0.34828, 0.3362, 0.2908, 0.19536, 0.09564, 0.03201, 0.0049, 0.0093, 0.06327, 0.1655, 0.2904, 0.4334499, 0.5945, 0.7621, 0.9163, 1.0263, 1.0622, 1.0026, 0.8544499, 0.6424, 0.4479, 0.2835, 0.1649, 0.0874, 0.04677, 0.0227, 0.01135916, 0.005790346, 0.002899327, 0.001439971];

    private const Y = [3.9e-05, 0.00012, 0.000396, 0.00121, 0.004, 0.0116, 0.023, 0.038, 0.06, 0.09098, 0.13902, 0.20802, 0.323, 0.503, 0.71, 0.862, 0.954, 0.9949501, 0.995, 0.952, 0.87, 0.757, 0.631, 0.503, 0.381, 0.265, 0.175, 0.107, 0.061, 0.032, 0.017, 0.00821, 0.004102, 0.002091, 0.001047, 0.00052];

    private const Z = [0.006450001, 0.02005001, 0.06785001, 0.2074, 0.6456, 1.3856, 1.74706, 1.77211, 1.6692, 1.28764, 0.8129501, 0.46518, 0.272, 0.1582, 0.07824999, 0.04216, 0.0203, 0.008749999, 0.0039, 0.0021, 0.001650001, 0.0011, 0.0008, 0.00034, 0.00019, 4.999999e-05, 2e-05, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0];

    private const D65 = [49.9755, 54.6482, 82.7549, 91.486, 93.4318, 86.6823, 104.865, 117.008, 117.812, 114.861, 115.923, 108.811, 109.354, 107.802, 104.79, 107.689, 104.405, 104.046, 100.0, 96.3342, 95.788, 88.6856, 90.0062, 89.5991, 87.6987, 83.2886, 83.6992, 80.0268, 80.2146, 82.2778, 78.2842, 69.7213, 71.6091, 74.349, 61.604, 69.8856];

    /** Linear sRGB to XYZ (IEC 61966-2-1); its row sums are the white point. */
    private const TO_XYZ = [[0.4124564, 0.3575761, 0.1804375], [0.2126729, 0.7151522, 0.0721750], [0.0193339, 0.1191920, 0.9503041]];

    private const TO_RGB = [[3.2404541621, -1.5371385128, -0.4985314096], [-0.9692660305, 1.8760108454, 0.0415560175], [0.0556434310, -0.2040259135, 1.0572251882]];

    /** @var array{list<float>, list<float>, list<float>}|null XYZ rows */
    private static ?array $xyz = null;

    /** @var array{list<float>, list<float>, list<float>}|null linear sRGB rows */
    private static ?array $rgb = null;

    /**
     * Rows that turn a reflectance into XYZ; each is scaled so that R = 1 is sRGB white (handbook 4, Colour).
     *
     * @return array{list<float>, list<float>, list<float>}
     */
    public static function xyzRows(): array
    {
        return self::$xyz ??= [self::row(self::X, 0), self::row(self::Y, 1), self::row(self::Z, 2)];
    }

    /**
     * @param  list<float>  $bar
     * @param  0|1|2  $i
     * @return list<float>
     */
    private static function row(array $bar, int $i): array
    {
        $row = array_map(static fn (float $b, float $light): float => $b * $light, $bar, self::D65);
        $scale = array_sum(self::TO_XYZ[$i]) / array_sum($row);

        return array_map(static fn (float $v): float => $v * $scale, $row);
    }

    /**
     * Rows that turn a reflectance into linear sRGB.
     *
     * @return array{list<float>, list<float>, list<float>}
     */
    public static function rgbRows(): array
    {
        if (self::$rgb === null) {
            [$x, $y, $z] = self::xyzRows();
            self::$rgb = array_map(static function (array $m) use ($x, $y, $z): array {
                $row = array_map(static fn (float $a, float $b, float $c): float => $m[0] * $a + $m[1] * $b + $m[2] * $c, $x, $y, $z);
                $sum = array_sum($row);

                return array_map(static fn (float $v): float => $v / $sum, $row);
            }, self::TO_RGB);
        }

        return self::$rgb;
    }

    /** @return array{float, float, float} XYZ of sRGB white */
    public static function white(): array
    {
        return [array_sum(self::TO_XYZ[0]), array_sum(self::TO_XYZ[1]), array_sum(self::TO_XYZ[2])];
    }

    /**
     * @param  array{float, float, float}  $rgb  linear
     * @return array{float, float, float}
     */
    public static function toXyz(array $rgb): array
    {
        return array_map(static fn (array $m): float => $m[0] * $rgb[0] + $m[1] * $rgb[1] + $m[2] * $rgb[2], self::TO_XYZ);
    }
}
