<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Mask;
use AmberStep\Core\Lines\MaskLines;
use AmberStep\Core\Masking\Register;
use AmberStep\Core\Plan\Plan;
use Illuminate\Support\Str;

/** The register of masks: each with its sheet, place, hand and state, and what there is to say of all of them. */
final class RegisterPresenter
{
    /** @return array<string, mixed> */
    public static function of(Plan $plan): array
    {
        $context = $plan->context;
        $register = new Register($context->kit, $context->surface);

        return [
            'masks' => array_map(static fn (Mask $m): array => [...$m->toArray(), 'name' => $m->name(), 'where' => $m->area === null ? null : $context->areaName($m->area), 'state' => $register->state($m)], $context->kit->masks),
            'says' => $register->says(),
            'areas' => array_map(static fn (Area $a): array => ['id' => $a->id, 'name' => $a->name, 'piece' => $context->pieceName($a->part), 'pane' => $a->isPane()], $context->kit->areas),
            'colours' => array_map(static fn (Colour $c): array => ['id' => $c->id, 'name' => $c->name], $context->kit->colours),
        ];
    }

    /**
     * Typed sets as edits: panes get the panes that have no mask yet, in the kit's order.
     *
     * @return array<string, mixed>
     *
     * @throws \AmberStep\Core\Document\BadDocument where a line cannot be read
     */
    public static function typed(string $text, Kit $kit): array
    {
        $taken = array_column(array_map(static fn (Mask $m): array => ['area' => $m->area], $kit->masks), 'area', 'area');
        $panes = array_values(array_filter($kit->areas, static fn (Area $a): bool => $a->isPane() && ! isset($taken[$a->id])));
        $names = array_column(array_map(static fn (Area $a): array => ['id' => $a->id, 'name' => $a->name], $kit->areas), 'name', 'id');
        $rows = $edits = [];
        foreach (MaskLines::read($text) as $i => $one) {
            $pane = preg_match('/\Apanes?\z/i', $one['what']) === 1 ? array_shift($panes) : null;
            $mask = new Mask(strtoupper((string) Str::ulid()), count($kit->masks) + $i, $one['label'], $one['sheet'], $one['what'] === 'panes' ? 'pane' : rtrim($one['what'], 's'), area: $pane?->id, hand: $one['hand'], pair: $one['pair']);
            $edits[] = Edit::add('masks', $mask->toArray())->toArray();
            $rows[] = ['name' => $mask->name(), 'hand' => $mask->hand->value, 'where' => $mask->area === null ? null : $names[$mask->area]];
        }

        return ['masks' => $rows, 'edits' => $edits];
    }
}
