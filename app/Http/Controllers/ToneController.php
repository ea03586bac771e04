<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Colour\ToneStep;
use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Mixing\Order;
use AmberStep\Core\Mixing\ToneSet;
use App\Http\Answer;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Tones of a colour: a little lighter, clearly darker, for mosaics, faded panels and pre-shade. */
final readonly class ToneController
{
    public function __construct(private ShelfRepository $shelf, private Answer $answer)
    {
    }

    /** @throws BadDocument at the field */
    public function set(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $base = $this->shelf->shelf()->find($in->id('product'));
        $asked = $in->raw('tones');
        $ml = Order::optional($in, 'ml', 0, 1000, 'give ml of paint for each tone, such as 2');
        $in->refuseTheRest();
        $steps = array_values(array_filter(array_map(static fn (mixed $t): ?ToneStep => is_string($t) ? ToneStep::tryFrom($t) : null, is_array($asked) ? $asked : [])));
        if ($base?->swatch === null || $base->role !== Role::Colour) {
            $problems->add('product', 'is no solid colour of the shelf', 'choose a paint with a colour');
        }
        if (! is_array($asked) || count($steps) !== count($asked)) {
            $problems->add('tones', 'are not all known', 'use '.implode(', ', array_map(static fn (ToneStep $s): string => $s->value, ToneStep::cases())));
        }
        $problems->throwIfAny();
        $set = ToneSet::of($base instanceof Product ? $base : throw new \LogicException('thrown above'), $this->shelf->shelf(), $steps);

        return $this->answer->json([
            'tones' => array_map(static fn (array $t): array => ['word' => $t[0], 'hex' => $t[2]->srgb()->hex(), 'differs' => round($t[3], 2), 'parts' => array_map(static fn (array $p): array => ['product' => $p[0]->id, 'name' => $p[0]->name, 'parts' => $p[1]], $t[1])], $set->tones),
            'alike' => array_map(static fn (array $a): string => sprintf('Nobody tells "%s" from "%s" (ΔE %.1f): leave one out, or go further.', $set->tones[$a[0]][0], $set->tones[$a[1]][0], $a[2]), $set->alike),
            'missing' => $set->missing === [] ? null : 'No paint of its family on the shelf makes it '.implode(' or ', $set->missing).'.',
            'totals' => array_map(static fn (array $t): array => ['name' => $t[0]->name, 'ml' => round($t[1], 3)], $set->totals($ml ?? 2.0)),
        ]);
    }
}
