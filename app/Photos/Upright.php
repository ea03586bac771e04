<?php

declare(strict_types=1);

namespace App\Photos;

use GdImage;

/** A camera held on its side says so in the file: the picture is turned before what it says is dropped. */
final class Upright
{
    /** Turned to the left by so many degrees, then mirrored or not, by orientation as EXIF counts it. */
    private const TURNS = [2 => [0, true], 3 => [180, false], 4 => [180, true], 5 => [270, true], 6 => [270, false], 7 => [90, true], 8 => [90, false]];

    /** @return int 1 to 8; 1 where the file says nothing that can be read */
    public static function orientation(string $jpeg): int
    {
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            return 1;
        }
        fwrite($stream, $jpeg);
        rewind($stream);
        $said = @exif_read_data($stream);
        fclose($stream);
        $orientation = is_array($said) ? $said['Orientation'] ?? 1 : 1;

        return is_int($orientation) && isset(self::TURNS[$orientation]) ? $orientation : 1;
    }

    public static function of(GdImage $image, int $orientation): GdImage
    {
        [$degrees, $isMirrored] = self::TURNS[$orientation] ?? [0, false];
        $turned = $degrees === 0 ? $image : imagerotate($image, $degrees, 0);
        if ($turned === false) {
            return $image;
        }
        if ($isMirrored) {
            imageflip($turned, IMG_FLIP_HORIZONTAL);
        }

        return $turned;
    }
}
