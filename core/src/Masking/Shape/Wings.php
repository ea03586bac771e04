<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/** A stripe across a wing that tapers and is swept, one face. */
final class Wings
{
    /** mm the mask goes over the leading and the trailing edge. */
    private const OVER = 3.0;

    /** @return list<Template> */
    public static function templates(): array
    {
        return [new Template('wing-stripe', 'Stripe across a wing', 'bands across a tapered wing, one face', [
            new Field('span', 'half span, root to tip', Field::MM, 90.0), new Field('root', 'chord at the root', Field::MM, 32.0), new Field('tip', 'chord at the tip', Field::MM, 16.0), new Field('sweep', 'sweep of the leading edge', Field::DEGREES, 4.0, 0, 75),
            new Field('distance', 'from the root to the stripe', Field::MM, 55.0, 0), new Field('width', 'width of the stripe', Field::MM, 8.0), new Field('thickness', 'thickness to chord', Field::PERCENT, 12.0, 0, 30),
        ], self::stripe(...))];
    }

    /** The way over one face to the chord, by relative thickness (handbook 7). */
    public static function overFace(float $thickness): float
    {
        return 1 + 0.65 * $thickness ** 1.65;
    }

    /** @return non-empty-list<Shape> */
    private static function stripe(Measures $m): array
    {
        [$span, $root, $tip, $from, $to] = [$m->of('span'), $m->of('root'), $m->of('tip'), $m->of('distance'), $m->of('distance') + $m->of('width')];
        if ($to > $span) {
            throw BadDocument::at('width', sprintf('goes %.2f mm past the tip', $to - $span), sprintf('give %.2f mm at most', $span - $from));
        }
        $face = self::overFace($m->of('thickness') / 100);
        $chord = static fn (float $y): float => $root + ($tip - $root) * $y / $span;
        $lead = static fn (float $y): float => $y * tan(deg2rad($m->of('sweep')));
        $corners = [];
        foreach ([$from - $m->grow, $to + $m->grow] as $y) {
            $corners[] = [[$lead($y) - self::OVER, $y], [$lead($y) + $chord($y) * $face + self::OVER, $y]];
        }
        if ($corners[1][0][1] <= $corners[0][0][1]) {
            throw BadDocument::at('grow', 'leaves nothing of it', 'shrink it less');
        }
        $edges = [Path::line([[$lead($from), $from], [$lead($to), $to]]), Path::line([[$lead($from) + $chord($from) * $face, $from], [$lead($to) + $chord($to) * $face, $to]])];

        return [new Shape(
            [Path::polygon([$corners[0][0], $corners[0][1], $corners[1][1], $corners[1][0]])], $edges,
            ['chord at the near side, mm' => $chord($from), 'over the face, mm' => $chord($from) * $face, 'chord at the far side, mm' => $chord($to), 'over the face there, mm' => $chord($to) * $face],
            [[[$lead($from), $from], [$lead($from) + $chord($from) * $face, $from], sprintf('%.2f over the face', $chord($from) * $face)], [[$corners[0][0][0], $from], [$corners[0][0][0], $to], sprintf('width %.1f', $m->of('width'))]],
        )];
    }
}
