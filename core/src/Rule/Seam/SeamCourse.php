<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Seam;

use AmberStep\Core\Kit\Feature;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\PartSteps;
use AmberStep\Core\Rule\Rule;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Seam\Course;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** The order of what is done to a place, and all of it before paint (for rule seam-before-paint). */
final readonly class SeamCourse
{
    public function __construct(private Rule $rule)
    {
    }

    /** @return iterable<Constraint> */
    public function order(Context $context): iterable
    {
        foreach ($context->kit->joints as $joint) {
            $glue = $context->steps->find("{$joint->id}/glue/all/1");
            if ($glue !== null && ! isset($context->steps->courses[$joint->id])) {
                yield from Say::all([$glue], $this->outside($context, $glue), $this->rule, "{$joint->name} is closed before paint: {$context->breakdown->reason($joint->id)}.");
            }
        }
        foreach ($context->steps->courses as $id => $course) {
            $glue = $context->steps->find("{$id}/glue/all/1");
            yield from $this->course(($glue === null ? [] : [$glue]), (string) $id, $course, $context);
        }
        foreach ($context->kit->features as $feature) {
            yield from $this->feature($feature, $context);
        }
    }

    /**
     * @param  list<Step>  $chain  what the first leg waits for
     * @return iterable<Constraint>
     */
    private function course(array $chain, string $place, Course $course, Context $context): iterable
    {
        $bare = $chain;
        foreach ($course->legs as $leg) {
            $step = $context->steps->find("{$place}/{$leg->operation->value}/all/{$leg->n}");
            if ($step !== null) {
                $chain[] = $step;
                $bare = $step->throughPaint ? $bare : [...$bare, $step];
            }
        }
        $again = array_values(array_filter($context->steps->all(), static fn (Step $s): bool => $s->placeId === $place && $s->operation->leavesLayer()));
        $chain = [...$chain, ...$again];
        $name = ucfirst($context->nameOf($place));
        for ($i = 1; $i < count($chain); $i++) {
            yield Say::must($chain[$i - 1], $chain[$i], $this->rule, "{$name}: {$chain[$i]->operation->word()} comes after {$chain[$i - 1]->operation->word()}.");
        }
        if ($bare !== []) {
            yield from Say::all([$bare[count($bare) - 1]], $this->outside($context, $bare[0]), $this->rule, "{$name} must vanish before paint shows it.");
        }
        $last = $chain[count($chain) - 1] ?? null;
        if ($last?->throughPaint === true) {
            foreach ($last->targets as $target) {
                $next = array_values(array_filter($context->steps->on($target), static fn (Step $s): bool => ! $s->isRemedy() && $s->operation->leavesLayer()));
                yield from Say::all([$last], $next, $this->rule, "{$name} is made good before anything else goes on it.");
            }
        }
    }

    /** @return iterable<Constraint> */
    private function feature(Feature $feature, Context $context): iterable
    {
        $step = $context->steps->find("{$feature->id}/rescribe/feature/1");
        if ($step === null) {
            return;
        }
        $name = $feature->name($context->kit);
        yield from Say::all([$step], $this->outside($context, $step), $this->rule, "The {$name} is put back before primer.");
        foreach ($context->steps->with(Operation::CutBack) as $cut) {
            if (! $cut->throughPaint && in_array($feature->part, Place::find((string) $cut->placeId, $context->kit)->parts ?? [], true)) {
                yield Say::must($cut, $step, $this->rule, "Sanding would take the {$name} off again.");
            }
        }
    }

    /** @return list<Step> the washing and spraying of the outside of a step's piece */
    private function outside(Context $context, Step $step): array
    {
        return array_values(array_filter($context->steps->ofPiece($step->pieceId), static fn (Step $s): bool => $s->phase === '' && ! $s->isRemedy() && ($s->operation->sprays() || ($s->operation->cleans() && $s->counted() !== PartSteps::RELEASE))));
    }
}
