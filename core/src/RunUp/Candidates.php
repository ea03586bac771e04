<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Flaw;
use AmberStep\Core\Kit\NotBefore;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Work\Operation;

/**
 * What of a build's own plan could be done otherwise, or left out, to save days (handbook 10, If it is late): where it
 * dries, with what it is washed, what was put off, work that is wanted but not needed, flaws. What it saves is for whoever
 * prices it; nothing is dropped by itself.
 */
final class Candidates
{
    /** Wishes for an area that cost a wait: their field, the steps they give, and how leaving them out is said. */
    private const WISHES = [
        ['intent.preshade', [Operation::Preshade], 'No pre-shade on', null],
        ['intent.wash', [Operation::PinWash, Operation::Filter], 'No wash on', null],
        ['intent.polish', [Operation::Polish], 'No polish on', false],
    ];

    private const WASHES = ['enamel' => 'Ready enamel wash, dry in two days', 'acrylic' => 'Acrylic wash, dry tonight'];

    private const DRYING = ['cabinet' => 'Dry it in the cabinet', 'warm-place' => 'Dry it in a warm place, 28 °C'];

    /** @return list<Candidate> */
    public static function of(string $build, Plan $plan): array
    {
        return [...self::places($build, $plan), ...self::washes($build, $plan), ...self::putOffs($build, $plan), ...self::wishes($build, $plan), ...self::flaws($build, $plan)];
    }

    /** @return list<Candidate> */
    private static function places(string $build, Plan $plan): array
    {
        $candidates = [];
        foreach ($plan->context->house->says('drying', 'room') ? self::DRYING : [] as $position => $title) {
            $candidates[] = new Candidate($title, $build, [Edit::house('drying', $position)]);
        }

        return $candidates;
    }

    /** @return list<Candidate> another wash, while one is still to come */
    private static function washes(string $build, Plan $plan): array
    {
        $candidates = [];
        foreach (self::areas($plan, [Operation::PinWash, Operation::Filter]) === [] ? [] : self::WASHES as $position => $title) {
            if (! $plan->context->house->says('wash', $position)) {
                $candidates[] = new Candidate($title, $build, [Edit::house('wash', $position)]);
            }
        }

        return $candidates;
    }

    /** @return list<Candidate> what was put off to one moment, taken back in one go */
    private static function putOffs(string $build, Plan $plan): array
    {
        $together = [];
        foreach ($plan->context->kit->notBefore as $set) {
            if (isset($plan->left[$set->step]) && $set->atEpoch > $plan->nowEpoch) {
                $together[$set->atEpoch][] = $set;
            }
        }
        $candidates = [];
        foreach ($together as $sets) {
            $titles = array_values(array_unique(array_map(static fn (NotBefore $n): string => Words::title($plan->left[$n->step]->step, $plan->context), $sets)));
            $candidates[] = new Candidate('Not put off: '.$titles[0].(count($titles) > 1 ? ' and '.(count($titles) - 1).' more' : ''), $build, array_map(static fn (NotBefore $n): Edit => Edit::remove('notBefore', $n->id), $sets));
        }

        return $candidates;
    }

    /** @return list<Candidate> */
    private static function wishes(string $build, Plan $plan): array
    {
        $candidates = [];
        foreach (self::WISHES as [$field, $operations, $words, $without]) {
            $areas = self::areas($plan, $operations);
            if ($areas !== []) {
                $names = array_values(array_unique(array_map(static fn (string $id): string => $plan->context->pieceName($plan->context->breakdown->pieceAt($id)->id ?? $id), $areas)));
                $candidates[] = new Candidate($words.' '.(count($names) > 3 ? count($names).' pieces' : Names::listed($names)), $build, array_map(static fn (string $area): Edit => Edit::set('areas', $area, $field, $without), $areas));
            }
        }

        return $candidates;
    }

    /** @return list<Candidate> a flaw that is still worked on, taken as it is: what is wrong with a joint shows more, and is not offered */
    private static function flaws(string $build, Plan $plan): array
    {
        $worked = [];
        foreach ($plan->left as $planned) {
            $worked[(string) $planned->step->placeId] = true;
        }

        return array_map(static fn (Flaw $f): Candidate => new Candidate('Take the '.$f->name($plan->context->kit).' as it is', $build, accepts: $f->id), array_values(array_filter($plan->context->kit->flaws, static fn (Flaw $f): bool => isset($worked[$f->id]))));
    }

    /**
     * @param  list<Operation>  $operations
     * @return list<string> areas for which one of these is left
     */
    private static function areas(Plan $plan, array $operations): array
    {
        $areas = [];
        foreach (array_filter($plan->left, static fn (PlannedStep $p): bool => in_array($p->step->operation, $operations, true) && ! $p->step->isRemedy()) as $planned) {
            $areas += array_fill_keys(array_filter($planned->step->targets, static fn (string $id): bool => isset($plan->context->kit->areasById[$id])), true);
        }

        return array_keys($areas);
    }
}
