<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Seam;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
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
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Seam\Course;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A joint that must vanish is glued, filled, cut back and checked before the first paint.',
    speaks: [Severity::Stop, Severity::Think],
    rests: 'Joints said to be seams',
)]
final class SeamBeforePaint implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'seam-before-paint';
    }

    public function order(Context $context): iterable
    {
        return (new SeamCourse($this))->order($context);
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
