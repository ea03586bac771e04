<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

/** Walks the layers areas have and will have, for the rules that look at neighbours in a stack. */
final class Stacks
{
    /** @return iterable<array{Area, Substrate, Layer}> the first coat that lands on each bare area; a pre-shade is sprayed in lines, and is no coat to what comes over it */
    public static function firstLayers(Outlook $outlook): iterable
    {
        foreach ($outlook->context->kit->areas as $area) {
            $coats = array_filter($outlook->stack($area->id), static fn (Layer $l): bool => $l->operation !== Operation::Preshade);
            $first = array_values($coats)[0] ?? null;
            if ($first !== null) {
                yield [$area, $outlook->context->kit->partsById[$area->part]->substrate, $first];
            }
        }
    }

    /** @return iterable<array{Area, Layer, Layer, list<Layer>}> area, below, above, and all under above from the top down */
    public static function pairs(Outlook $outlook): iterable
    {
        foreach ($outlook->context->kit->areas as $area) {
            $stack = $outlook->stack($area->id);
            for ($i = 1; $i < count($stack); $i++) {
                yield [$area, $stack[$i - 1], $stack[$i], array_reverse(array_slice($stack, 0, $i))];
            }
        }
    }

    /**
     * The ways out of a first coat that will not hold: take back the pin that caused it, ask for primer, or
     * strip what already lies there.
     *
     * @return list<Fix>
     */
    public static function keyFixes(Outlook $outlook, Rule $rule, Area $area, Layer $first, string $primer): array
    {
        $context = $outlook->context;
        if (! $first->isPlanned()) {
            $key = (new Finding($rule->id(), Severity::Stop, '', '', [$area->id]))->key;

            return [Say::look($outlook, $key, [$area->id], "Strip it back to bare, and start again with {$primer}", null, Operation::Flat)];
        }
        $piece = $context->breakdown->pieceOfArea[$area->id] ?? '';
        if ($first->operation !== Operation::Prime && ! $context->house->says('primer', 'always')) {
            // Without the pin there would still be none: the house rule primes only where it must.
            $id = Id::from('key', $piece);

            return [new Fix('Put '.$primer.' under it', [...self::unpins($context, Operation::Prime, 'all', $piece, [$area->id]), Edit::pin(new Pin($id, Operation::Prime, $piece, 'all', true))])];
        }

        return Say::fixes([
            Say::unpin($context, static fn (Pin $p): bool => $p->operation === Operation::Prime && ($p->present === false || $p->product !== null) && in_array($p->target, [null, $area->id, $piece], true), 'Put '.$primer.' under it'),
        ]);
    }

    /** Whether an area is sanded between two moments, really or as planned. */
    public static function wasSanded(Outlook $outlook, string $areaId, int $fromEpoch, int $untilEpoch): bool
    {
        foreach ($outlook->final->area($areaId)->done as $key => $times) {
            $sanded = Operation::tryFrom(explode('/', $key)[0])?->sands() === true;
            foreach ($sanded ? $times : [] as $at) {
                if ($at >= $fromEpoch && $at <= $untilEpoch) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Takes back what was pinned of a layer on a piece, so that another pin can say otherwise.
     *
     * @param  list<string>  $areas
     * @return list<Edit>
     */
    public static function unpins(Context $context, Operation $operation, string $purpose, string $piece, array $areas): array
    {
        $pins = array_filter($context->kit->pins, static fn (Pin $p): bool => $p->target !== null && $p->concerns($operation, $purpose, $piece, ...$areas));

        return array_values(array_map(static fn (Pin $p): Edit => Edit::remove('pins', $p->id), $pins));
    }

    /** The pin that thins a step's last coat more than the others, if there is one. */
    public static function extraThinner(Context $context, Step $step): ?Pin
    {
        foreach ($context->kit->pins as $pin) {
            if ($pin->extraThinner && $pin->concerns($step->operation, $step->counted(), $step->pieceId, ...$step->targets)) {
                return $pin;
            }
        }

        return null;
    }

    /** The pin that changed how an operation is done on an area, if there is one. */
    public static function pinned(Context $context, Operation $operation, Area $area): ?Pin
    {
        foreach ($context->kit->pins as $pin) {
            if ($pin->operation === $operation && in_array($pin->target, [null, $area->id, $context->breakdown->pieceOfArea[$area->id] ?? ''], true)) {
                return $pin;
            }
        }

        return null;
    }
}
