<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

/** A sheet as DXF R12, for a cutting machine: millimetres, y upwards, what is cut on layer CUT, what is drawn on layer MARK. */
final class DxfFile
{
    /** Height of what is written on a shape, mm. */
    private const TEXT = 2.0;

    public static function of(Sheet $sheet): string
    {
        $out = self::head($sheet);
        foreach ($sheet->shapes as $i => $shape) {
            foreach (SvgFile::innerFirst($shape->cuts) as $path) {
                $out .= self::polyline($path, 'CUT');
            }
            foreach ($shape->marks as $path) {
                $out .= self::polyline($path, 'MARK');
            }
            [$l, $b, $r, $t] = $shape->box();
            $out .= self::text(trim(($i + 1).' '.$shape->label), ($l + $r) / 2, ($b + $t) / 2);
        }
        $out .= self::polyline(Path::line([[Sheet::GAP, -6.0], [Sheet::GAP + SvgFile::RULER, -6.0]]), 'MARK').self::text('50 mm', Sheet::GAP, -11.0);

        return $out.self::pairs([[0, 'ENDSEC'], [0, 'EOF']]);
    }

    private static function head(Sheet $sheet): string
    {
        $layer = static fn (string $name, int $colour): array => [[0, 'LAYER'], [2, $name], [70, '0'], [62, (string) $colour], [6, 'CONTINUOUS']];

        return self::pairs([
            [0, 'SECTION'], [2, 'HEADER'], [9, '$ACADVER'], [1, 'AC1009'], [9, '$MEASUREMENT'], [70, '1'],
            [9, '$EXTMIN'], [10, '0.0'], [20, '-12.0'], [9, '$EXTMAX'], [10, self::mm($sheet->width)], [20, self::mm($sheet->height)], [0, 'ENDSEC'],
            [0, 'SECTION'], [2, 'TABLES'], [0, 'TABLE'], [2, 'LTYPE'], [70, '1'], [0, 'LTYPE'], [2, 'CONTINUOUS'], [70, '0'], [3, 'Solid line'], [72, '65'], [73, '0'], [40, '0.0'], [0, 'ENDTAB'],
            [0, 'TABLE'], [2, 'LAYER'], [70, '2'], ...$layer('CUT', 1), ...$layer('MARK', 7), [0, 'ENDTAB'], [0, 'ENDSEC'],
            [0, 'SECTION'], [2, 'ENTITIES'],
        ]);
    }

    private static function polyline(Path $path, string $layer): string
    {
        $pairs = [[0, 'POLYLINE'], [8, $layer], [66, '1'], [10, '0.0'], [20, '0.0'], [30, '0.0'], [70, $path->closed ? '1' : '0']];
        foreach ($path->points as [$x, $y, $bulge]) {
            array_push($pairs, [0, 'VERTEX'], [8, $layer], [10, self::mm($x)], [20, self::mm($y)], [30, '0.0'], ...($bulge === 0.0 ? [] : [[42, sprintf('%.9F', $bulge)]]));
        }

        return self::pairs([...$pairs, [0, 'SEQEND'], [8, $layer]]);
    }

    private static function text(string $text, float $x, float $y): string
    {
        // Names may have what the format has no letters for.
        $plain = (string) preg_replace('/[^\x20-\x7e]/', '', str_replace(['°', 'ø'], ['%%d', 'o'], $text));

        return $plain === '' ? '' : self::pairs([[0, 'TEXT'], [8, 'MARK'], [10, self::mm($x)], [20, self::mm($y)], [30, '0.0'], [40, self::mm(self::TEXT)], [1, $plain]]);
    }

    private static function mm(float $mm): string
    {
        return sprintf('%.6F', $mm);
    }

    /** @param  list<array{int, string}>  $pairs */
    private static function pairs(array $pairs): string
    {
        return implode('', array_map(static fn (array $p): string => sprintf("%3d\r\n%s\r\n", $p[0], $p[1]), $pairs));
    }
}
