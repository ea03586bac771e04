<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Kit\Closed;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Severity;
use AmberStep\Core\Work\Strength;

#[Says(
    'What lies inside is painted, with the walls about it, and glued in before the joint that shuts it in.',
    speaks: [Severity::Stop, Severity::Think],
    rests: 'Handbook 3, enclosed; what is said to lie inside what',
)]
final class Enclosed implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'enclosed';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->kit->parts as $part) {
            if ($part->inside !== null) {
                yield from $this->putIn($part, $context);
            }
        }
        foreach ($context->breakdown->enclosure->isEmpty() ? [] : $context->kit->areas as $area) {
            $joint = $context->breakdown->blocks($area->id);
            $join = $joint === null ? null : self::join($joint, $context);
            if ($join === null || $joint === null) {
                continue;
            }
            foreach ($context->steps->on($area->id) as $step) {
                if ($step->phase === $joint->id && ! $step->isRemedy()) {
                    yield Say::must($step, $join, $this, "{$context->areaName($area->id)} is finished before {$joint->name} is glued.");
                }
            }
        }
    }

    /** @return iterable<Constraint> */
    private function putIn(Part $part, Context $context): iterable
    {
        $enclosure = $context->breakdown->enclosure;
        $joins = self::joins($enclosure->joinsOf($part->id), $context);
        $last = $joins;
        if ($joins === []) {
            foreach ($context->kit->areasOf($part->id) as $area) {
                array_push($last, ...array_filter($context->steps->on($area->id), static fn (Step $s): bool => ! $s->isRemedy()));
            }
        }
        foreach ($enclosure->deadlines($part->id) as $shut) {
            $closing = self::join($shut, $context);
            foreach ($last as $step) {
                if ($closing !== null && ! self::shutOut($step->jointId, $shut->id, $context)) {
                    yield Say::must($step, $closing, $this, "{$part->name} lies inside: it is in before {$shut->name} is closed.");
                }
            }
        }
        foreach ($joins as $join) {
            yield from $this->firstIn($part, $join, $context);
        }
    }

    /** @return iterable<Constraint> what lies in a part goes in before it, and the walls round it are painted before */
    private function firstIn(Part $part, Step $join, Context $context): iterable
    {
        foreach ($context->breakdown->enclosure->contentsOf($part->id) as $content) {
            foreach (self::joins($context->breakdown->enclosure->joinsOf($content->id), $context) as $inner) {
                if (! self::shutOut($inner->jointId, (string) $join->jointId, $context)) {
                    yield new Constraint($inner->key, $join->key, Strength::Fit, $this->id(), "{$content->name} lies in {$part->name}, and goes in first.");
                }
            }
        }
        foreach ($context->kit->areasOf((string) $part->inside) as $wall) {
            foreach ($wall->face === Face::Inside ? $context->steps->on($wall->id) : [] as $step) {
                if ($step->phase !== '' && ! $step->isRemedy()) {
                    yield Say::must($step, $join, $this, "{$context->areaName($wall->id)} is painted before {$part->name} stands in front of it.");
                }
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        yield from Unsaid::ask($this, $context);
        foreach ($context->kit->parts as $part) {
            foreach ($part->inside === null ? [] : $context->breakdown->enclosure->joinsOf($part->id) as $join) {
                foreach ($context->breakdown->enclosure->deadlines($part->id) as $shut) {
                    if ($context->surface->joint($join->id)->closedAt !== null) {
                        continue;
                    }
                    if ($context->surface->joint($shut->id)->closedAt !== null) {
                        yield new Finding($this->id(), Severity::Stop, "{$part->name} is shut out", "{$shut->name} is closed, and {$part->name} was to lie inside: it can no longer be put in.", [$join->id, $shut->id], [], [
                            new Fix("{$part->name} can still be put in from outside", [Edit::set('parts', $part->id, 'inside', null)]),
                        ]);
                    } elseif (self::shutOut($join->id, $shut->id, $context)) {
                        yield new Finding($this->id(), Severity::Stop, "{$join->name} and {$shut->name} shut each other out", "{$part->name} lies in what {$shut->name} closes before paint; {$join->name}, after paint, comes too late for it.", [$join->id, $shut->id], [], [
                            new Fix("Close {$join->name} before paint too", [Edit::set('joints', $join->id, 'closed', Closed::BeforePaint->value)]),
                            new Fix("Close {$shut->name} after paint", [Edit::set('joints', $shut->id, 'closed', Closed::AfterPaint->value)]),
                        ]);
                    }
                }
            }
        }
    }

    /** Whether what goes in by one joint comes after paint, and another shuts it out before paint. */
    private static function shutOut(?string $join, string $shut, Context $context): bool
    {
        return $join !== null && ! $context->breakdown->closesBeforePaint($join) && $context->breakdown->closesBeforePaint($shut);
    }

    private static function join(Joint $joint, Context $context): ?Step
    {
        return $context->steps->find("{$joint->id}/glue/all/1") ?? $context->steps->find("{$joint->id}/attach/all/1");
    }

    /**
     * @param  list<Joint>  $joints
     * @return list<Step>
     */
    private static function joins(array $joints, Context $context): array
    {
        return array_values(array_filter(array_map(static fn (Joint $j): ?Step => self::join($j, $context), $joints)));
    }
}
