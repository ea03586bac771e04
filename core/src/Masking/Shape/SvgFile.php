<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

/** A sheet as SVG: a user unit is a millimetre, at its true size when printed at 100 %. */
final class SvgFile
{
    /** mm below the shapes for the ruler and what stands beside it. */
    private const FOOT = 12.0;

    /** mm of the ruler that tells whether it came out at its true size. */
    public const RULER = 50.0;

    public static function of(Sheet $sheet): string
    {
        [$w, $h] = [max($sheet->width, self::RULER + 40), $sheet->height];
        $cuts = $marks = $texts = '';
        foreach ($sheet->shapes as $i => $shape) {
            // Inner cuts first: what is cut loose cannot be held for a cut inside it.
            foreach (self::innerFirst($shape->cuts) as $path) {
                $cuts .= '<path d="'.$path->moved(0, -$h)->svg()."\"/>\n";
            }
            foreach ($shape->marks as $path) {
                $marks .= '<path d="'.$path->moved(0, -$h)->svg()."\"/>\n";
            }
            [$l, $b, $r, $t] = $shape->box();
            $size = max(1.2, min(4.0, ($r - $l) / 4, ($t - $b) / 3));
            $texts .= sprintf('<text x="%.2f" y="%.2f" font-size="%.2f">%s</text>'."\n", ($l + $r) / 2, $h - ($b + $t) / 2 + $size / 3, $size, self::text(trim(($i + 1).' '.$shape->label)));
        }
        $foot = $h + 6;

        return sprintf(
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1\$.3fmm\" height=\"%2\$.3fmm\" viewBox=\"0 0 %1\$.3f %2\$.3f\">\n<g id=\"CUT\" fill=\"none\" stroke=\"#c8321e\" stroke-width=\"0.1\">\n%3\$s</g>\n<g id=\"MARK\" fill=\"none\" stroke=\"#1a1a1a\" stroke-width=\"0.1\">\n%4\$s%5\$s</g>\n<g font-family=\"sans-serif\" text-anchor=\"middle\" fill=\"#1a1a1a\">\n%6\$s</g>\n<text x=\"%7\$.2f\" y=\"%8\$.2f\" font-family=\"sans-serif\" font-size=\"3\" fill=\"#1a1a1a\">50 mm: print at 100 %%</text>\n</svg>\n",
            $w, $h + self::FOOT, $cuts, $marks, self::ruler($foot), $texts, Sheet::GAP + self::RULER + 3, $foot + 1,
        );
    }

    /**
     * @param  list<Path>  $cuts
     * @return list<Path>
     */
    public static function innerFirst(array $cuts): array
    {
        usort($cuts, static fn (Path $a, Path $b): int => ($a->closed ? $a->area() : 0.0) <=> ($b->closed ? $b->area() : 0.0));

        return $cuts;
    }

    private static function ruler(float $y): string
    {
        $x = Sheet::GAP;
        $out = sprintf('<path id="RULER" d="M%.2f %.2fH%.2f"/>'."\n", $x, $y, $x + self::RULER);
        for ($i = 0; $i <= 10; $i++) {
            $out .= sprintf('<path d="M%.2f %.2fv-%.1f"/>'."\n", $x + $i * self::RULER / 10, $y, $i % 5 === 0 ? 3 : 1.5);
        }

        return $out;
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES, 'UTF-8');
    }
}
