<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Seam;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\FlawKind;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A line where no joint is, or on clear plastic, may belong there: it is looked at before it is sanded off.',
    speaks: [Severity::Think],
    rests: 'Where joints are',
)]
final class RealDetail implements Judges
{
    public function id(): string
    {
        return 'real-detail';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->steps->courses as $id => $course) {
            $place = Place::find((string) $id, $context->kit);
            if ($place?->mayBeDetail() !== true || $course->isGood() || $course->isDone(Operation::Look, 1)) {
                continue;
            }
            $part = $context->kit->partsById[$place->parts[0]];
            $where = $part->isClear() ? "{$part->name} is clear plastic" : "no joint of {$part->name} runs there";
            yield new Finding($this->id(), Severity::Think, ucfirst("{$place->name} may be real detail"), ucfirst("{$where}: look from inside, at the other side and in the booklet before anything is sanded."), [$place->id], ["{$place->id}/look/all/1"], [
                new Fix('It belongs there: strike it out', [Edit::remove('flaws', $place->id)]),
                new Fix('It is a step between two mouldings', [Edit::set('flaws', $place->id, 'kind', FlawKind::Step->value)]),
            ]);
        }
    }
}
