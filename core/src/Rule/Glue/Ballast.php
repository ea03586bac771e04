<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A model on a nose wheel sits on its tail unless something heavy goes into the nose before the hull is closed.',
    speaks: [Severity::Note],
    rests: 'A nose wheel, and a hull about to be closed',
)]
final class Ballast implements Judges
{
    public function id(): string
    {
        return 'ballast';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        if (! $context->kit->noseWheel) {
            return;
        }
        $hull = null;
        foreach ($context->kit->joints as $joint) {
            $closes = $joint->isSeam() && $context->breakdown->closesBeforePaint($joint->id);
            if ($closes && ($hull === null || $joint->lengthCm > $hull->lengthCm)) {
                $hull = $joint;
            }
        }
        if ($hull === null || $context->surface->joint($hull->id)->closedAt !== null) {
            return;
        }
        yield $this->finding($outlook, $hull);
    }

    private function finding(Outlook $outlook, Joint $hull): Finding
    {
        $key = (new Finding($this->id(), Severity::Note, '', '', [$hull->id]))->key;

        return new Finding($this->id(), Severity::Note, "Weigh it before {$hull->name} is closed", 'It stands on a nose wheel: tape it together, put weight on the nose until it stays down, and a little more.', [$hull->id], ["{$hull->id}/glue/all/1"], [
            Say::insertBefore($key, $hull->id, 'Weigh it taped together, glue ballast into the nose', 'glue', Operation::Look),
        ]);
    }
}
