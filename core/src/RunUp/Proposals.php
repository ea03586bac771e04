<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Work\Operation;

/**
 * What of a build's own plan could be done otherwise, or left out, to save days (handbook 10, If it is late): where it
 * dries, with what it is washed, and work that is wanted but not needed. What it saves is for whoever prices it.
 */
final class Proposals
{
    /** Wishes for an area that cost a wait: their field, the steps they give, and how leaving them out is said. */
    private const WISHES = [
        ['intent.preshade', [Operation::Preshade], 'No pre-shade on', null],
        ['intent.wash', [Operation::PinWash, Operation::Filter], 'No wash on', null],
        ['intent.polish', [Operation::Polish], 'No polish on', false],
    ];

    private const WASHES = ['enamel' => 'Ready enamel wash, dry in two days', 'acrylic' => 'Acrylic wash, dry tonight'];

    private const DRYING = ['cabinet' => 'Dry it in the cabinet', 'warm-place' => 'Dry it in a warm place, 28 °C'];

    /** @return list<Proposal> */
    public static function of(Plan $plan): array
    {
        return [...self::places($plan), ...self::washes($plan), ...self::wishes($plan)];
    }

    /** @return list<Proposal> */
    private static function places(Plan $plan): array
    {
        $proposals = [];
        foreach ($plan->context->house->says('drying', 'room') ? self::DRYING : [] as $position => $title) {
            $proposals[] = new Proposal($title, [Edit::house('drying', $position)]);
        }

        return $proposals;
    }

    /** @return list<Proposal> another wash, while one is still to come */
    private static function washes(Plan $plan): array
    {
        $proposals = [];
        foreach (self::areas($plan, [Operation::PinWash, Operation::Filter]) === [] ? [] : self::WASHES as $position => $title) {
            if (! $plan->context->house->says('wash', $position)) {
                $proposals[] = new Proposal($title, [Edit::house('wash', $position)]);
            }
        }

        return $proposals;
    }

    /** @return list<Proposal> */
    private static function wishes(Plan $plan): array
    {
        $proposals = [];
        foreach (self::WISHES as [$field, $operations, $words, $without]) {
            $areas = self::areas($plan, $operations);
            if ($areas !== []) {
                $names = array_values(array_unique(array_map(static fn (string $id): string => $plan->context->pieceName($plan->context->breakdown->pieceAt($id)->id ?? $id), $areas)));
                $proposals[] = new Proposal($words.' '.(count($names) > 3 ? count($names).' pieces' : Names::listed($names)), array_map(static fn (string $area): Edit => Edit::set('areas', $area, $field, $without), $areas));
            }
        }

        return $proposals;
    }

    /**
     * @param  list<Operation>  $operations
     * @return list<string> areas for which one of these is left
     */
    private static function areas(Plan $plan, array $operations): array
    {
        $areas = [];
        foreach ($plan->left as $planned) {
            if (in_array($planned->step->operation, $operations, true) && ! $planned->step->isRemedy()) {
                $areas += array_fill_keys(array_filter($planned->step->targets, static fn (string $id): bool => isset($plan->context->kit->areasById[$id])), true);
            }
        }

        return array_keys($areas);
    }
}
