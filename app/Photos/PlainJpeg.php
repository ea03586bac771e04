<?php

declare(strict_types=1);

namespace App\Photos;

/** Whether a JPEG carries nothing but its picture: no camera's words, no place, no thumbnail, nothing behind its end. */
final class PlainJpeg
{
    /** What our encoder says of itself. */
    private const OURS = '/\A(CREATOR: gd-jpeg v[\d.]+ \(using IJG JPEG v\d+\), (?:quality = \d+|default quality)\n)?\z/';

    /** Segments that hold the picture: tables, frame, restart interval. */
    private const TABLES = [0xC0, 0xC1, 0xC2, 0xC4, 0xDB, 0xDD];

    public static function is(string $bytes): bool
    {
        if (! str_starts_with($bytes, "\xFF\xD8")) {
            return false;
        }
        $at = 2;
        while (true) {
            if ($at + 4 > strlen($bytes) || $bytes[$at] !== "\xFF") {
                return false;
            }
            $marker = ord($bytes[$at + 1]);
            if ($marker === 0xD9) {
                return $at + 2 === strlen($bytes);
            }
            $long = (ord($bytes[$at + 2]) << 8) + ord($bytes[$at + 3]);
            $body = substr($bytes, $at + 4, max(0, $long - 2));
            $plain = match (true) {
                $marker === 0xE0 => $long === 16 && str_starts_with($body, "JFIF\0"),
                $marker === 0xFE => preg_match(self::OURS, $body) === 1,
                $marker === 0xDA => true,
                default => in_array($marker, self::TABLES, true),
            };
            if (! $plain) {
                return false;
            }
            $at += 2 + $long;
            if ($marker === 0xDA) {
                // Within a scan 0xFF is followed by 0 or a restart; anything else ends it.
                if (preg_match('/\xFF(?![\x00\xD0-\xD7])/s', $bytes, $m, PREG_OFFSET_CAPTURE, $at) !== 1) {
                    return false;
                }
                $at = $m[0][1];
                if (substr($bytes, $at, 2) === "\xFF\xD9") {
                    return $at + 2 === strlen($bytes);
                }
            }
        }
    }
}
