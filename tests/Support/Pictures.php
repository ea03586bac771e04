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

    /** @return string a file with a large black picture that takes no room: a PNG of one bit a pixel */
    public static function wide(int $width, int $height): string
    {
        $chunk = static fn (string $name, string $body): string => pack('N', strlen($body)).$name.$body.pack('N', crc32($name.$body));
        $rows = str_repeat(str_repeat("\0", 1 + intdiv($width + 7, 8)), $height);
        $file = sys_get_temp_dir()."/amber-wide-{$width}.png";
        file_put_contents($file, "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('NNCCCCC', $width, $height, 1, 0, 0, 0, 0)).$chunk('IDAT', (string) gzcompress($rows)).$chunk('IEND', ''));

        return $file;
    }
}
