<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Seam;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Feature;
use AmberStep\Core\Kit\Flaw;
use AmberStep\Core\Kit\FlawKind;
use AmberStep\Core\Kit\FoundAt;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Log\Through;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Seam\Course;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

/** A joint that must vanish is glued, filled, cut back and checked before the first paint. */
final class SeamBeforePaint implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'seam-before-paint';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->kit->joints as $joint) {
            $glue = $context->steps->find("{$joint->id}/glue/all/1");
            if ($glue !== null && ! isset($context->steps->courses[$joint->id])) {
                yield from Say::all([$glue], $this->outside($context, $glue), $this, "{$joint->name} is closed before paint: {$context->breakdown->reason($joint->id)}.");
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
            yield Say::must($chain[$i - 1], $chain[$i], $this, "{$name}: {$chain[$i]->operation->word()} comes after {$chain[$i - 1]->operation->word()}.");
        }
        if ($bare !== []) {
            yield from Say::all([$bare[count($bare) - 1]], $this->outside($context, $bare[0]), $this, "{$name} must vanish before paint shows it.");
        }
        $last = $chain[count($chain) - 1] ?? null;
        if ($last?->throughPaint === true) {
            foreach ($last->targets as $target) {
                $next = array_values(array_filter($context->steps->on($target), static fn (Step $s): bool => ! $s->isRemedy() && $s->operation->leavesLayer()));
                yield from Say::all([$last], $next, $this, "{$name} is made good before anything else goes on it.");
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
        yield from Say::all([$step], $this->outside($context, $step), $this, "The {$name} is put back before primer.");
        foreach ($context->steps->with(Operation::CutBack) as $cut) {
            if (! $cut->throughPaint && in_array($feature->part, Place::find((string) $cut->placeId, $context->kit)->parts ?? [], true)) {
                yield Say::must($cut, $step, $this, "Sanding would take the {$name} off again.");
            }
        }
    }

    /** @return list<Step> the washing and spraying of the outside of a step's piece */
    private function outside(Context $context, Step $step): array
    {
        return array_values(array_filter($context->steps->ofPiece($step->pieceId), static fn (Step $s): bool => $s->phase === '' && ! $s->isRemedy() && ($s->operation->sprays() || $s->operation === Operation::Wash)));
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->steps->courses as $id => $course) {
            yield from $this->paintedOver((string) $id, $course, $context);
        }
        foreach ($context->kit->joints as $joint) {
            if (! $joint->isSeam() || $context->surface->joint($joint->id)->closedAt !== null) {
                continue;
            }
            $fixes = [
                new Fix('Close it before paint', [Edit::set('joints', $joint->id, 'closed', 'before')]),
                new Fix('It is a line that belongs there', [Edit::set('joints', $joint->id, 'kind', 'line')]),
            ];
            // Once paint is on, closing it before paint is no way out any more.
            $painted = $this->painted($context, $joint->parts);
            if (! $context->breakdown->closesBeforePaint($joint->id)) {
                yield new Finding($this->id(), Severity::Stop, "{$joint->name} is to vanish, and closes after paint", 'Filling and sanding it would take the paint off again on both sides.', [$joint->id], ["{$joint->id}/attach/all/1"], $painted === [] ? $fixes : [$fixes[1]]);

                continue;
            }
            if ($painted !== []) {
                $key = (new Finding($this->id(), Severity::Stop, '', '', [$joint->id, ...$painted]))->key;
                yield new Finding($this->id(), Severity::Stop, "Paint is on before {$joint->name} is closed", 'It must vanish: it still has to be glued, filled and sanded, through '.Names::listed(array_map($context->areaName(...), $painted)).'.', [$joint->id, ...$painted], [], [
                    Say::look($outlook, $key, $painted, 'Scrape the joint faces bare, and repaint once the seam is gone', null, Operation::Flat),
                    $fixes[1],
                ]);
            }
        }
    }

    /**
     * Begun, and under paint before it was found good: it is looked at again through what lies on it now.
     *
     * @return iterable<Finding>
     */
    private function paintedOver(string $id, Course $course, Context $context): iterable
    {
        $place = Place::find($id, $context->kit);
        $begun = ! isset($context->kit->jointsById[$id]) || $context->surface->joint($id)->deeds !== [];
        $next = $course->next();
        if ($place === null || $next === null || $next->through !== FoundAt::Bare || ! $begun) {
            return;
        }
        $painted = $this->painted($context, $place->parts);
        if ($painted === []) {
            return;
        }
        $on = Through::on($place->parts, $context->kit, $context->surface);
        $again = isset($context->kit->flawsById[$id])
            ? Edit::set('flaws', $id, 'foundAt', $on->value)
            : Edit::add('flaws', (new Flaw(Id::from('under', $id), count($context->kit->flaws), FlawKind::Gap, $place->parts[0], "at {$place->name}", widthMm: $place->widthMm, lengthMm: 10 * $place->lengthCm, access: $place->access, crossed: $place->crossed, foundAt: $on))->toArray());
        if (isset($context->kit->flawsById[Id::from('under', $id)])) {
            return;
        }
        yield new Finding($this->id(), Severity::Think, ucfirst("{$place->name} is under paint, and was not found good"), "It was left at: {$next->operation->word()}. What is wrong there shows through every coat.", [$id, ...$painted], [], [
            new Fix('Go back to it through the paint', [$again]),
        ]);
    }

    /**
     * @param  non-empty-list<string>  $parts
     * @return list<string>
     */
    private function painted(Context $context, array $parts): array
    {
        $painted = [];
        foreach ($context->kit->areas as $area) {
            if (in_array($area->part, $parts, true) && $area->face === Face::Outside && $context->breakdown->blocks($area->id) === null && $context->surface->area($area->id)->top() !== null) {
                $painted[] = $area->id;
            }
        }

        return $painted;
    }
}
