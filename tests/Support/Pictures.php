<?php

declare(strict_types=1);

namespace Tests\Support;

/** Pictures as a camera or a scanner would send them. */
final class Pictures
{
    /** Grey, with a red square at the begin of the first row and a blue one at its end. */
    public static function jpeg(int $width, int $height, int $orientation = 0): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 120, 130, 140));
        $side = (int) min($width, $height) / 4;
        imagefilledrectangle($image, 0, 0, (int) $side, (int) $side, (int) imagecolorallocate($image, 255, 0, 0));
        imagefilledrectangle($image, (int) ($width - 1 - $side), 0, $width - 1, (int) $side, (int) imagecolorallocate($image, 0, 0, 255));
        ob_start();
        imagejpeg($image, null, 85);
        $jpeg = (string) ob_get_clean();
        if ($orientation === 0) {
            return $jpeg;
        }
        // One entry: Orientation (0x0112), a short.
        $exif = "Exif\0\0MM".pack('nNn', 42, 8, 1).pack('nnNnn', 0x0112, 3, 1, $orientation, 0).pack('N', 0);

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
    }
}
