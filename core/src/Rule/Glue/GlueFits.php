<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Material\GlueChoice;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;

#[Says(
    'PETG, vinyl, resin, metal: never cement.',
    speaks: [Severity::Stop],
    rests: 'Handbook 2, Glues: what each holds',
)]
final class GlueFits implements Judges
{
    public function id(): string
    {
        return 'glue-fits';
    }

    public function judge(Outlook $outlook): iterable
    {
        $kit = $outlook->context->kit;
        foreach ($kit->joints as $joint) {
            [$a, $b] = [$kit->partsById[$joint->parts[0]]->substrate, $kit->partsById[$joint->parts[1]]->substrate];
            if (GlueChoice::holds($joint->glue, $a, $b) || $outlook->context->surface->joint($joint->id)->closedAt !== null) {
                continue;
            }
            [$glue, $why] = GlueChoice::for($a, $b, $joint->carriesLoad, $joint->removable, $joint->isSeam());
            yield new Finding($this->id(), Severity::Stop, ucfirst($joint->glue->word())." does not hold {$joint->name}", ucfirst($why).'.', [$joint->id], [], [
                new Fix("Glue it with {$glue->word()}", [Edit::set('joints', $joint->id, 'glue', $glue->value)]),
            ], rests: $joint->glue->value);
        }
    }
}
