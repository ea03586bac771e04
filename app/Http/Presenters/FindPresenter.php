<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Rule\Rule;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Telling\Words;

/** All that can be looked for in a build by its name: pieces, areas, places to make good, paints, steps that are left, rules. */
final class FindPresenter
{
    /** @return list<array{kind: string, id: string, name: string, says: string, findings: int}> */
    public static function things(Plan $plan): array
    {
        $context = $plan->context;
        $speaks = array_count_values(array_map(static fn (Finding $f): string => $f->rule, $plan->findings));

        return [
            ...array_map(static fn (Piece $p): array => self::thing('piece', $p->id, $p->name, $plan->pieces[$p->id]->because ?? ''), array_values($context->breakdown->byId)),
            ...array_map(static fn ($a): array => self::thing('area', $a->id, ucfirst($a->name), $context->pieceName($context->breakdown->pieceOfArea[$a->id] ?? '')), $context->kit->areas),
            ...array_map(static fn (Place $p): array => self::thing('place', $p->id, ucfirst($p->name), $p->isJoint() ? 'a seam to make good' : 'a place to make good'), Place::all($context->kit)),
            ...array_map(static fn (Product $p): array => self::thing('paint', $p->id, $p->name, $p->family->word()), array_values(array_filter($context->shelf->products, static fn (Product $p): bool => $p->swatch !== null))),
            ...array_map(static fn ($s): array => self::thing('step', $s->step->key, Words::title($s->step, $context), Words::where($s->step, $context)), $plan->byTime()),
            ...array_map(static fn (Rule $r): array => self::thing('rule', $r->id(), self::ruleName($r), Says::of($r)->sentence, $speaks[$r->id()] ?? 0), RuleBook::ofTheTrade()->rules),
        ];
    }

    /** @return array{kind: string, id: string, name: string, says: string, findings: int} */
    private static function thing(string $kind, string $id, string $name, string $says, int $findings = 0): array
    {
        return ['kind' => $kind, 'id' => $id, 'name' => $name, 'says' => $says, 'findings' => $findings];
    }

    /** "Tape overstays" */
    private static function ruleName(Rule $rule): string
    {
        return ucfirst(str_replace('-', ' ', $rule->id()));
    }
}
