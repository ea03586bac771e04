<?php

declare(strict_types=1);

// Takes the outlines of capitals and digits out of the bundled open font (SIL Open Font License) into core/data/letters.php.
// Run once, and again when the font changes: php bin/outlines.php

$woff = (string) file_get_contents(__DIR__.'/../node_modules/@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff');
$u16 = static fn (string $s, int $at): int => unpack('n', $s, $at)[1];
$i16 = static fn (string $s, int $at): int => ($v = unpack('n', $s, $at)[1]) > 32767 ? $v - 65536 : $v;
$u32 = static fn (string $s, int $at): int => unpack('N', $s, $at)[1];

$tables = [];
for ($i = 0, $n = $u16($woff, 12); $i < $n; $i++) {
    $at = 44 + 20 * $i;
    [$offset, $packed, $whole] = [$u32($woff, $at + 4), $u32($woff, $at + 8), $u32($woff, $at + 12)];
    $bytes = substr($woff, $offset, $packed);
    $tables[substr($woff, $at, 4)] = $packed < $whole ? (string) gzuncompress($bytes) : $bytes;
}
$em = $u16($tables['head'], 18);
$long = $u16($tables['head'], 50) === 1;
$place = static fn (int $g): int => $long ? $u32($tables['loca'], 4 * $g) : 2 * $u16($tables['loca'], 2 * $g);
$wide = static fn (int $g): int => $u16($tables['hmtx'], 4 * min($g, $u16($tables['hhea'], 34) - 1));

$cmap = $tables['cmap'];
$glyph = null;
for ($i = 0; $i < $u16($cmap, 2); $i++) {
    $at = $u32($cmap, 8 + 8 * $i);
    if ($u16($cmap, $at) === 4) {
        $half = $u16($cmap, $at + 6);
        $glyph = static function (int $code) use ($cmap, $at, $half, $u16, $i16): int {
            for ($s = 0; $s < $half; $s += 2) {
                [$end, $start, $delta, $range] = [$u16($cmap, $at + 14 + $s), $u16($cmap, $at + 16 + $half + $s), $i16($cmap, $at + 16 + 2 * $half + $s), $u16($cmap, $at + 16 + 3 * $half + $s)];
                if ($code <= $end && $code >= $start) {
                    return $range === 0 ? ($code + $delta) & 0xFFFF : $u16($cmap, $at + 16 + 3 * $half + $s + $range + 2 * ($code - $start));
                }
            }

            return 0;
        };
    }
}

/** Contours of a glyph as lists of straight corners; curves are cut into eight. */
$contours = static function (int $g) use (&$contours, $tables, $place, $u16, $i16): array {
    [$from, $to] = [$place($g), $place($g + 1)];
    $d = substr($tables['glyf'], $from, $to - $from);
    if ($d === '') {
        return [];
    }
    $n = $i16($d, 0);
    if ($n < 0) {
        $out = [];
        for ($at = 10, $more = true; $more; $at += $step) {
            $flags = $u16($d, $at);
            $words = ($flags & 1) === 1;
            [$dx, $dy] = $words ? [$i16($d, $at + 4), $i16($d, $at + 6)] : [unpack('c', $d, $at + 4)[1], unpack('c', $d, $at + 5)[1]];
            foreach ($contours($u16($d, $at + 2)) as $contour) {
                $out[] = array_map(static fn (array $p): array => [$p[0] + $dx, $p[1] + $dy], $contour);
            }
            $step = 4 + ($words ? 4 : 2) + (($flags & 8) ? 2 : (($flags & 64) ? 4 : (($flags & 128) ? 8 : 0)));
            $more = ($flags & 32) !== 0;
        }

        return $out;
    }
    $ends = array_map(static fn (int $i): int => $u16($d, 10 + 2 * $i), range(0, $n - 1));
    $at = 12 + 2 * $n + $u16($d, 10 + 2 * $n);
    $flags = [];
    while (count($flags) <= $ends[$n - 1]) {
        $flag = ord($d[$at++]);
        $flags[] = $flag;
        for ($again = ($flag & 8) ? ord($d[$at++]) : 0; $again > 0; $again--) {
            $flags[] = $flag;
        }
    }
    $axis = static function (int $short, int $same) use ($flags, $d, &$at, $i16): array {
        $v = 0;
        $out = [];
        foreach ($flags as $flag) {
            if ($flag & $short) {
                $v += ($flag & $same ? 1 : -1) * ord($d[$at++]);
            } elseif (! ($flag & $same)) {
                $v += $i16($d, $at);
                $at += 2;
            }
            $out[] = $v;
        }

        return $out;
    };
    $xs = $axis(2, 16);
    $ys = $axis(4, 32);
    $out = [];
    $first = 0;
    foreach ($ends as $end) {
        $points = [];
        for ($i = $first; $i <= $end; $i++) {
            $points[] = [$xs[$i], $ys[$i], ($flags[$i] & 1) === 1];
        }
        $first = $end + 1;
        // Between two points off the curve lies one on it.
        $full = [];
        foreach ($points as $i => $p) {
            $q = $points[($i + 1) % count($points)];
            $full[] = $p;
            if (! $p[2] && ! $q[2]) {
                $full[] = [($p[0] + $q[0]) / 2, ($p[1] + $q[1]) / 2, true];
            }
        }
        while (! $full[0][2]) {
            $full[] = array_shift($full);
        }
        $line = [];
        $count = count($full);
        for ($i = 0; $i < $count; $i++) {
            [$a, $b, $c] = [$full[$i], $full[($i + 1) % $count], $full[($i + 2) % $count]];
            $line[] = [round($a[0], 1), round($a[1], 1)];
            if (! $b[2]) {
                for ($t = 1; $t < 8; $t++) {
                    $s = $t / 8;
                    $line[] = [round((1 - $s) ** 2 * $a[0] + 2 * $s * (1 - $s) * $b[0] + $s ** 2 * $c[0], 1), round((1 - $s) ** 2 * $a[1] + 2 * $s * (1 - $s) * $b[1] + $s ** 2 * $c[1], 1)];
                }
                $i++;
            }
        }
        $out[] = $line;
    }

    return $out;
};

$letters = [];
foreach (str_split('ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789-./&+() ') as $char) {
    $g = $glyph(ord($char));
    $letters[$char] = ['wide' => $wide($g), 'contours' => $contours($g)];
}
$high = max(array_merge(...array_map(static fn (array $c): array => array_column($c, 1), $letters['H']['contours'])));
$lines = '';
foreach ($letters as $char => $letter) {
    $lines .= sprintf("    %s => [%d, %s],\n", var_export((string) $char, true), $letter['wide'], json_encode($letter['contours']));
}
file_put_contents(__DIR__.'/../core/data/letters.php', "<?php\n\ndeclare(strict_types=1);\n\n// Outlines of Barlow Condensed 600 (SIL Open Font License 1.1), made by bin/outlines.php: how wide each is, and its contours, in parts of 1000.\n\nreturn ['high' => {$high}, 'letters' => [\n{$lines}]];\n");
echo count($letters)." letters, {$high} high of {$em}\n";
