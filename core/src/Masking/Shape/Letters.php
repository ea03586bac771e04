<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/** Letters and digits from the outlines of a bundled open font. */
final class Letters
{
    /** Stroke of a letter by its height (handbook 7, Fineness). */
    private const STROKE = 0.14;

    /** mm: the narrowest line a cut film holds, and that a pen still draws better than a decal is cut. */
    private const FILM = 0.3;

    private const PEN = 0.2;

    private const LONGEST = 40;

    /** @return list<Template> */
    public static function templates(): array
    {
        return [new Template('letters', 'Letters and digits', 'codes and names, up to a film\'s fineness', [
            new Field('text', 'what is written', Field::TEXT, 'RC 4'), new Field('height', 'height of the capitals', Field::MM, 8.0, 0.5, 300), new Field('spacing', 'more between letters', Field::MM, 0.0, 0, 50),
        ], self::letters(...), false)];
    }

    /** @return non-empty-list<Shape> */
    private static function letters(Measures $m): array
    {
        $font = self::font();
        $text = mb_strtoupper(trim($m->text('text')));
        $height = $m->of('height');
        $stroke = self::STROKE * $height;
        if ($stroke < self::FILM) {
            throw BadDocument::at('height', sprintf('makes strokes of %.2f mm: no film that is cut holds them', $stroke), $stroke < self::PEN ? 'draw them with a pen, or take a decal' : 'take a decal');
        }
        if ($text === '' || mb_strlen($text) > self::LONGEST) {
            throw BadDocument::at('text', 'is empty or too long', 'write 1 to '.self::LONGEST.' letters');
        }
        $scale = $height / $font['high'];
        $x = 0.0;
        $cuts = [];
        foreach (mb_str_split($text) as $char) {
            [$wide, $contours] = $font['letters'][$char] ?? throw BadDocument::at('text', "has \"{$char}\", which the font has no outline for", 'use capitals, digits and - . / & + ( )');
            foreach ($contours as $contour) {
                $cuts[] = Path::polygon(array_map(static fn (array $p): array => [$x + $p[0] * $scale, $p[1] * $scale], $contour));
            }
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
