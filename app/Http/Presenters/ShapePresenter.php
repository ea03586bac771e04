<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Masking\Shape\Field;
use AmberStep\Core\Masking\Shape\Fineness;
use AmberStep\Core\Masking\Shape\Order;
use AmberStep\Core\Masking\Shape\Path;
use AmberStep\Core\Masking\Shape\Shape;
use AmberStep\Core\Masking\Shape\Template;
use AmberStep\Core\Masking\Shape\Templates;

/** Templates and what is worked out from them. */
final class ShapePresenter
{
    /** @return list<array<string, mixed>> */
    public static function templates(): array
    {
        return array_map(static fn (Template $t): array => [
            'name' => $t->name, 'title' => $t->title, 'for' => $t->for, 'grows' => $t->grows,
            'fields' => array_map(static fn (Field $f): array => ['name' => $f->name, 'label' => $f->label, 'unit' => $f->unit, 'default' => is_float($f->default) ? (string) json_encode(round($f->default, 4)) : (string) $f->default], $t->fields),
        ], array_values(Templates::all()));
    }

    /** @return array<string, mixed> */
    public static function of(Order $order): array
    {
        return [
            'template' => $order->template->name, 'title' => $order->template->title,
            'says' => array_values(array_unique(array_filter(array_map(Fineness::of(...), $order->shapes), static fn (?string $s): bool => $s !== null))),
            'shapes' => array_map(self::shape(...), $order->shapes),
            'sheet' => ['width' => round($order->sheet->width, 2), 'height' => round($order->sheet->height, 2), 'used' => round($order->sheet->used, 3), 'count' => count($order->sheet->shapes), 'shapes' => array_map(self::shape(...), $order->sheet->shapes)],
        ];
    }

    /** @return array<string, mixed> */
    private static function shape(Shape $shape): array
    {
        [$l, $b, $r, $t] = $shape->box();

        return [
            // The screen has y downwards, as SVG has it.
            'cuts' => array_map(static fn (Path $p): string => $p->svg(), $shape->cuts), 'marks' => array_map(static fn (Path $p): string => $p->svg(), $shape->marks),
            'box' => ['x' => round($l, 3), 'y' => round(-$t, 3), 'w' => round($r - $l, 3), 'h' => round($t - $b, 3)],
            'figures' => array_map(static fn (string $name, float $value): array => ['name' => $name, 'value' => round($value, 2)], array_keys($shape->figures), array_values($shape->figures)),
            'measured' => array_map(static fn (array $m): array => ['x1' => round($m[0][0], 3), 'y1' => round(-$m[0][1], 3), 'x2' => round($m[1][0], 3), 'y2' => round(-$m[1][1], 3), 'text' => $m[2]], $shape->measured),
            'label' => $shape->label, 'cm2' => round($shape->area() / 100, 2),
        ];
    }
}
