<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/** Panes of a canopy, from their sides and one diagonal, bottom left to top right. */
final class Panes
{
    /** @return list<Template> */
    public static function templates(): array
    {
        return [
            new Template('pane', 'Pane', 'one pane of glass', [
                new Field('bottom', 'bottom side', Field::MM, 24.0), new Field('right', 'right side', Field::MM, 15.0), new Field('top', 'top side', Field::MM, 20.0), new Field('left', 'left side', Field::MM, 14.0),
                new Field('diagonal', 'bottom left to top right', Field::MM, 27.5),
            ], self::pane(...)),
            new Template('pane-row', 'Row of panes', 'panes side by side; a side they share is measured once', [
                new Field('uprights', 'uprights, left to right', Field::TEXT, '14 15 14'), new Field('bottoms', 'bottom sides', Field::TEXT, '24 22'), new Field('tops', 'top sides', Field::TEXT, '20 19'), new Field('diagonals', 'diagonals, bottom left to top right', Field::TEXT, '27.5 25.5'),
            ], self::row(...)),
            new Template('triangle', 'Triangle', 'a pane of three sides', [new Field('a', 'bottom side', Field::MM, 20.0), new Field('b', 'right side', Field::MM, 15.0), new Field('c', 'left side', Field::MM, 12.0)], self::triangle(...)),
        ];
    }

    /** @return non-empty-list<Shape> */
    private static function pane(Measures $m): array
    {
        return [self::quad($m->of('bottom'), $m->of('right'), $m->of('top'), $m->of('left'), $m->of('diagonal'), $m->grow, '')];
    }

    private static function quad(float $bottom, float $right, float $top, float $left, float $diagonal, float $grow, string $of): Shape
    {
        $far = Corners::third($bottom, $diagonal, $right, ["bottom{$of}", "diagonal{$of}", "right{$of}"]);
        // The fourth corner lies over the diagonal, on the other side of it.
        $over = Corners::third($diagonal, $left, $top, ["diagonal{$of}", "left{$of}", "top{$of}"]);
        [$cos, $sin] = [$far[0] / $diagonal, $far[1] / $diagonal];
        $near = [$over[0] * $cos - $over[1] * $sin, $over[0] * $sin + $over[1] * $cos];
        $corners = [[0.0, 0.0], [$bottom, 0.0], $far, $near];
        $mm = static fn (float $l, string $side): string => sprintf('%s %.1f', $side, $l);

        return new Shape([Path::polygon(Corners::grown($corners, $grow))], [], [], [
            [[0.0, 0.0], [$bottom, 0.0], $mm($bottom, 'bottom')], [[$bottom, 0.0], $far, $mm($right, 'right')], [$far, $near, $mm($top, 'top')], [$near, [0.0, 0.0], $mm($left, 'left')], [[0.0, 0.0], $far, $mm($diagonal, 'diagonal')],
        ]);
    }

    /** @return non-empty-list<Shape> */
    private static function row(Measures $m): array
    {
        $lists = [];
        foreach (['uprights', 'bottoms', 'tops', 'diagonals'] as $field) {
            $lists[$field] = array_map(static fn (string $one): float => is_numeric($one) && (float) $one > 0 ? (float) $one : throw BadDocument::at($field, "has {$one}, which is no length", 'write them as 24 22.5'), array_values(array_filter(explode(' ', (string) preg_replace('/[\s;]+/', ' ', $m->text($field))), static fn (string $one): bool => $one !== '')));
        }
        $n = count($lists['bottoms']);
        foreach (['tops' => $n, 'diagonals' => $n, 'uprights' => $n + 1] as $field => $wanted) {
            if (count($lists[$field]) !== $wanted) {
                throw BadDocument::at($field, sprintf('are %d', count($lists[$field])), "{$n} panes have {$wanted}");
            }
        }
        if ($n < 1 || $n > 40) {
            throw BadDocument::at('bottoms', "are {$n}", 'a row has 1 to 40 panes');
        }
        $pane = static fn (int $i): Shape => self::quad($lists['bottoms'][$i], $lists['uprights'][$i + 1], $lists['tops'][$i], $lists['uprights'][$i], $lists['diagonals'][$i], $m->grow, ' of pane '.($i + 1));

        return array_map($pane, range(0, $n - 1));
    }

    /** @return non-empty-list<Shape> */
    private static function triangle(Measures $m): array
    {
        $top = Corners::third($m->of('a'), $m->of('c'), $m->of('b'), ['a', 'c', 'b']);
        $corners = [[0.0, 0.0], [$m->of('a'), 0.0], $top];

        return [new Shape([Path::polygon(Corners::grown($corners, $m->grow))], [], [], [[$corners[0], $corners[1], sprintf('a %.1f', $m->of('a'))], [$corners[1], $top, sprintf('b %.1f', $m->of('b'))], [$top, $corners[0], sprintf('c %.1f', $m->of('c'))]])];
    }
}
