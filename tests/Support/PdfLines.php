<?php

declare(strict_types=1);

namespace Tests\Support;

/** Straight lines of a printed page, as long as they come out on paper: read off the PDF's own drawing commands. */
final class PdfLines
{
    private const POINT_MM = 25.4 / 72;

    /** @return list<float> mm, of every straight piece that is drawn */
    public static function of(string $pdf): array
    {
        $mm = [];
        preg_match_all('/stream\r?\n(.*?)\r?\nendstream/s', $pdf, $streams);
        foreach ($streams[1] as $stream) {
            $drawn = @gzuncompress($stream);
            if ($drawn !== false && preg_match('/\b(re|l|cm)\b/', $drawn) === 1) {
                array_push($mm, ...self::drawn($drawn));
            }
        }

        return $mm;
    }

    /** @return list<float> */
    private static function drawn(string $commands): array
    {
        $mm = $kept = $numbers = [];
        $matrix = [1.0, 0.0, 0.0, 1.0];
        $at = null;
        foreach (preg_split('/\s+/', $commands) ?: [] as $token) {
            if (is_numeric($token)) {
                $numbers[] = (float) $token;

                continue;
            }
            $last = array_slice($numbers, -6);
            if ($token === 'q') {
                $kept[] = $matrix;
            } elseif ($token === 'Q') {
                $matrix = array_pop($kept) ?? $matrix;
            } elseif ($token === 'cm' && count($last) === 6) {
                [$a, $b, $c, $d] = $last;
                [$e, $f, $g, $h] = $matrix;
                $matrix = [$a * $e + $b * $g, $a * $f + $b * $h, $c * $e + $d * $g, $c * $f + $d * $h];
            } elseif ($token === 'm') {
                $at = array_slice($numbers, -2);
            } elseif ($token === 'l' && $at !== null) {
                $to = array_slice($numbers, -2);
                [$x, $y] = [$to[0] - $at[0], $to[1] - $at[1]];
                $mm[] = hypot($x * $matrix[0] + $y * $matrix[2], $x * $matrix[1] + $y * $matrix[3]) * self::POINT_MM;
                $at = $to;
            }
            $numbers = [];
        }

        return $mm;
    }
}
