<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Nearest;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Work\Operation;

/**
 * What the user steers by is there: a pin names a thing of the kit, an order and a moment name steps of one (handbook 3: what
 * leads nowhere is never silence). Asked of what is set anew: what lost its thing since is in nobody's way.
 */
final class Named
{
    private const STEPS = ['orders' => ['first', 'then'], 'notBefore' => ['step']];

    /**
     * @param  list<Edit>  $edits
     *
     * @throws BadDocument with place, and the nearest operation
     */
    public static function demand(Kit $kit, array $edits): void
    {
        $problems = new Problems;
        foreach ($edits as $i => $edit) {
            $thing = $edit->op === EditOp::Add && is_array($edit->value) ? $edit->value : [];
            if ($edit->list === 'pins' && is_string($thing['target'] ?? null) && ! self::isThere($thing['target'], $kit)) {
                $problems->add("edits[{$i}].value.target", "names {$thing['target']}, which is not in the kit", 'name areas, a joint, a flaw or a piece of this kit');
            }
            foreach (self::STEPS[$edit->list] ?? [] as $field) {
                if (is_string($thing[$field] ?? null)) {
                    self::step($thing[$field], $kit, "edits[{$i}].value.{$field}", $problems);
                }
            }
        }
        $problems->throwIfAny();
    }

    private static function step(string $key, Kit $kit, string $path, Problems $problems): void
    {
        [$target, $word] = [...explode('/', $key), ''];
        $operation = Operation::tryFrom($word);
        if ($operation === null) {
            $nearest = Nearest::to($word, array_column(Operation::cases(), 'value'));
            $problems->add($path, "names the step {$key}, and {$word} is no operation", $nearest === null ? 'give the key of a step of the plan' : "the nearest is {$nearest}");
        } elseif (! $operation->cleansTheGun() && $operation !== Operation::Mix && $operation !== Operation::Discard && ! self::isThere($target, $kit)) {
            $problems->add($path, "names a step of {$target}, which is not in the kit", 'give the key of a step of the plan');
        }
    }

    private static function isThere(string $id, Kit $kit): bool
    {
        return $kit->nameOf($id) !== null || $kit->colour($id) !== null;
    }
}
