<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Booklet\ColourLists;
use AmberStep\Core\Booklet\JarNeed;
use AmberStep\Core\Booklet\Pattern;
use AmberStep\Core\Booklet\Tally;
use AmberStep\Core\Booklet\Tone;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Mask;
use AmberStep\Core\Lines\MaskLines;
use AmberStep\Core\Log\ModelState;
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
            'patterns' => self::patterns($plan, $register),
            'colours' => array_map(static fn (Colour $c): array => ['id' => $c->id, 'name' => $c->name], $context->kit->colours),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function patterns(Plan $plan, Register $register): array
    {
        $context = $plan->context;
        if (array_filter($context->kit->masks, static fn (Mask $m): bool => $m->start !== '') === []) {
            return [];
        }
        $tally = Tally::of($context->kit, ColourLists::of($context->kit, $context->breakdown, $context->surface), $context->shelf, $context->house);
        $jar = static fn (JarNeed $j): array => ['paint' => $j->product->name, 'swatch' => $j->product->swatch, 'ml' => round($j->ml, 2), 'levelMl' => $j->product->levelMl];

        return array_map(static fn (Pattern $p): array => [
            'start' => $p->start, 'pieces' => array_map($context->pieceName(...), $p->pieces),
            'tones' => array_map(static fn (Tone $t): array => [
                'colour' => $t->need->colour, 'name' => $t->need->name, 'swatch' => $t->need->swatch, 'cm2' => round($t->cm2, 1), 'coats' => $t->need->coats, 'ml' => round($t->need->ml, 2), 'mixMl' => round($t->mixMl(), 2), 'pieces' => $t->pieces, 'jars' => array_map($jar, $t->jars),
            ], $p->tones),
            'jars' => array_map($jar, $p->jars), 'ml' => round(array_sum(array_map(static fn (Tone $t): float => $t->need->ml, $p->tones)), 2),
        ], Pattern::all($context->kit, $register, $context->breakdown, $tally, $context->shelf));
    }

    /**
     * Typed sets as the edits that take them in.
     *
     * @return array<string, mixed>
     *
     * @throws \AmberStep\Core\Document\BadDocument where a line cannot be read
     */
    public static function typed(string $text, Kit $kit): array
    {
        $masks = (new Register($kit, new ModelState))->taken(MaskLines::read($text), static fn (): string => strtoupper((string) Str::ulid()));

        return [
            'masks' => array_map(static fn (Mask $m): array => ['name' => $m->name(), 'hand' => $m->hand->value, 'where' => $m->area === null ? null : $kit->areasById[$m->area]->name], $masks),
            'edits' => array_map(static fn (Mask $m): array => Edit::add('masks', $m->toArray())->toArray(), $masks),
        ];
    }
}
