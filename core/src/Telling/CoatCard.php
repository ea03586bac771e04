<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\WashKind;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** Why a varnish goes on that nobody asked for by name: said with its first coat. */
final class CoatCard
{
    /** ml: the cup of a usual gun. */
    private const CUP_ML = 7.0;

    /** @return list<string> */
    public static function why(Step $step, Context $context): array
    {
        if (! $step->operation->isVarnish() || $step->n > 1 || $step->isRemedy()) {
            return [];
        }
        $areas = array_values(array_filter(array_map(static fn (string $id): ?Area => $context->kit->areasById[$id] ?? null, $step->targets)));

        return match ($step->operation) {
            Operation::Gloss => [self::any($areas, static fn (Area $a): bool => $a->intent->decals) ? 'Gloss, since decals go on it: on matt they silver.' : 'Gloss, since the wash runs along the lines on it and stains matt.'],
            Operation::Seal => ['Seals the decals before a wash is worked over them.'],
            Operation::Barrier => ['A barrier: the wash does not get into the paint under it.'],
            Operation::Final => [self::final($areas, $context)],
            default => [],
        };
    }

    /**
     * How the gun is led where the surface asks for more than one set-up, or more than one cup.
     *
     * @return list<string>
     */
    public static function gun(Step $step, Context $context): array
    {
        $setUp = SetUp::of($step, $context->kit, $context->house, $context->experience->uses);
        if ($setUp === null || ! $step->isSprayed() || $step->isRemedy()) {
            return [];
        }
        $colour = $step->operation === Operation::Colour && SetUp::isSoftEdged($step, $context->kit);
        $cups = $setUp->nozzleMm === null ? 1 : (int) ceil($setUp->need->totalMl / self::CUP_ML);

        return [
            ...($colour ? [sprintf('Draw the soft edge along its line first, 0.2 mm, 3 cm off, 0.8 bar; then fill the field with %g mm.', $setUp->nozzleMm ?? 0.35)] : []),
            ...($cups > 1 ? [sprintf('It takes %d cups of %g ml: mix all of it first, and change the cup at a panel line or an edge.', $cups, self::CUP_ML)] : []),
        ];
    }

    /** @return list<string> house rule: which face of a piece is sprayed first */
    public static function faces(Step $step, Context $context): array
    {
        return $step->n === 1 && ! $step->operation->isVarnish() && $context->house->says('first-faces', 'held') ? ['First the face it will lie on or be held by: it is touch dry when the piece is turned.'] : [];
    }

    /** @param  list<Area>  $areas */
    private static function final(array $areas, Context $context): string
    {
        return match (true) {
            self::any($areas, static fn (Area $a): bool => $a->intent->polish) => 'The clear that is polished.',
            self::any($areas, static fn (Area $a): bool => $a->intent->sheen !== null) => 'The sheen you want.',
            self::any($areas, static fn (Area $a): bool => $context->shelf->find($context->kit->colour($a->intent->colour)?->product)?->isMetallic() === true) => 'Flakes want clear over them.',
            self::any($areas, static fn (Area $a): bool => $a->intent->wash === WashKind::Pin || $a->intent->wash === WashKind::Filter) => "Brings the paint's own sheen back over gloss and wash.",
            default => "Brings the paint's own sheen back over the decals.",
        };
    }

    /**
     * @param  list<Area>  $areas
     * @param  callable(Area): bool  $has
     */
    private static function any(array $areas, callable $has): bool
    {
        return array_filter($areas, $has) !== [];
    }
}
