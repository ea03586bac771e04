<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/** Letters and digits from the outlines of a bundled open font. */
final class Letters
{
    /** Stroke of a letter by its height (handbook 7, Fineness). */
    private const STROKE = 0.14;

    private const LONGEST = 40;

    /** @return list<Template> */
    public static function templates(): array
    {
        return [new Template('letters', 'Letters and digits', 'codes and names, up to a film\'s fineness', [
            new Field('text', 'what is written', Field::TEXT, 'RC 4'), new Field('height', 'height of the capitals', Field::MM, 8.0, 0.5, 300), new Field('spacing', 'more between letters', Field::MM, 0.0, 0, 50),
            new Field('bridge', 'bridges that hold what is inside a letter; 0: it is laid by itself', Field::MM, 0.0, 0, 20),
        ], self::letters(...), false)];
    }

    /** @return non-empty-list<Shape> */
    private static function letters(Measures $m): array
    {
        $font = self::font();
        $text = mb_strtoupper(trim($m->text('text')));
        $height = $m->of('height');
        $stroke = self::STROKE * $height;
        if ($stroke < Fineness::FILM) {
            throw BadDocument::at('height', sprintf('makes strokes of %.2f mm: no film that is cut holds them', $stroke), $stroke < Fineness::PEN ? 'draw them with a pen, or take a decal' : 'take a decal');
        }
        $bridge = $m->of('bridge');
        if ($bridge > 0 && ($bridge < Fineness::FILM || $bridge > $stroke)) {
            throw BadDocument::at('bridge', sprintf('is %.2f mm wide: %s', $bridge, $bridge < Fineness::FILM ? 'it tears' : 'wider than a stroke it takes the letter apart'), sprintf('give %.1f to %.2f mm, or 0', Fineness::FILM, $stroke));
        }
        if ($text === '' || mb_strlen($text) > self::LONGEST) {
            throw BadDocument::at('text', 'is empty or too long', 'write 1 to '.self::LONGEST.' letters');
        }
        $scale = $height / $font['high'];
        $x = 0.0;
        $cuts = [];
        foreach (mb_str_split($text) as $char) {
            [$wide, $contours] = $font['letters'][$char] ?? throw BadDocument::at('text', "has \"{$char}\", which the font has no outline for", 'use capitals, digits and - . / & + ( )');
            $outlines = array_map(static fn (array $contour): array => array_map(static fn (array $p): array => [$x + $p[0] * $scale, $p[1] * $scale], $contour), $contours);
            $bridged = $bridge > 0 && $outlines !== [] ? Bridges::through($outlines, $bridge) : $outlines;
            array_push($cuts, ...array_map(Path::polygon(...), $bridged));
            $x += $wide * $scale + $m->of('spacing');
        }
        if ($cuts === []) {
            throw BadDocument::at('text', 'has nothing to cut', 'write letters or digits');
        }
        $long = $x - $m->of('spacing');

        return [new Shape($cuts, [Path::line([[0.0, 0.0], [$long, 0.0]])], ['stroke, mm' => $stroke, 'length, mm' => $long], [[[0.0, 0.0], [0.0, $height], sprintf('height %.1f', $height)]])];
    }

    /** @return array{high: int, letters: array<int|string, array{int, list<non-empty-list<array{float|int, float|int}>>}>} */
    private static function font(): array
    {
        /** @var array{high: int, letters: array<int|string, array{int, list<non-empty-list<array{float|int, float|int}>>}>} */
        return require __DIR__.'/../../../data/letters.php';
    }
}
