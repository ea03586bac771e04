<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\NotBefore;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\AttackTable;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;

/** Ways out where the next coat's liquid spoils the one below (for rule solvent-attack). */
final class SolventFixes
{
    /** @return list<Fix> */
    public static function waysOut(Outlook $outlook, Area $area, Layer $below, Layer $above): array
    {
        $context = $outlook->context;
        $product = $above->product;
        $target = $above->operation->value.'/'.$above->purpose;
        $areas = [];
        foreach ($context->kit->areas as $other) {
            $same = $context->breakdown->pieceOfArea[$other->id] === $context->breakdown->pieceOfArea[$area->id];
            if ($same && array_filter($outlook->stack($other->id), static fn (Layer $l): bool => $l->operation === $above->operation && $l->purpose === $above->purpose) !== []) {
                $areas[] = $other->id;
            }
        }
        $barrier = $context->shelf->pick(Role::Varnish, static fn ($p): bool => $p->family->liquid()->value === 'water', Family::WaterVarnish, Sheen::Satin);
        $edits = [Edit::insert(new Inserted(Id::from('barrier', $target, ...$areas), Operation::Barrier, $areas === [] ? [$area->id] : $areas, "Spray a barrier of {$barrier->name}", $target, product: $barrier->id, coats: 2))];
        if ($product !== null && AttackTable::after($barrier->family->below(), $product->liquid())->ordersMist()) {
            $edits[] = Edit::pin(new Pin(Id::from('mist', $target, $area->id), $above->operation, $context->breakdown->pieceOfArea[$area->id] ?? null, $above->purpose, coatKind: CoatKind::Mist));
        }
        $fixes = [new Fix('Put a water-acrylic barrier between, then mist coats', $edits)];
        $aged = $product === null ? null : AttackTable::aged($below->below(), $product->liquid());
        $first = $outlook->stepsOf($above)[0] ?? null;
        if ($aged !== null && $first !== null && ! $below->isPlanned()) {
            $at = $below->lastCoat()->atEpoch + $aged[0] * SolventAttack::DAY;
            $fixes[] = new Fix("Wait until {$aged[0]} days have passed, then mist coats only", [
                Edit::add('notBefore', (new NotBefore(Id::from('wait', $first), $first, $at))->toArray()),
                Edit::pin(new Pin(Id::from('mist', $target, $area->id), $above->operation, $context->breakdown->pieceOfArea[$area->id] ?? null, $above->purpose, coatKind: CoatKind::Mist)),
            ]);
        }

        return $fixes;
    }
}
