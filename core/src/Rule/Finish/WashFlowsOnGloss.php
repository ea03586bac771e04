<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Finish;

use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A pin wash runs along lines on gloss and stains on matt; a filter wants the tooth of matt or satin.',
    speaks: [Severity::Think, Severity::Note],
    rests: 'Sheen of the layer under the wash',
)]
final class WashFlowsOnGloss implements Judges
{
    public function id(): string
    {
        return 'wash-flows-on-gloss';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach (Stacks::pairs($outlook) as [$area, $below, $above]) {
            if ($below->isDecal()) {
                continue;
            }
            if ($above->operation === Operation::PinWash && $below->sheen() === Sheen::Matt) {
                $piece = $outlook->context->breakdown->pieceOfArea[$area->id] ?? '';
                $varnishes = [Operation::Gloss, Operation::Seal, Operation::Barrier];
                $fixes = $above->isPlanned() ? Say::fixes([
                    Say::unpin($outlook->context, static fn (Pin $p): bool => in_array($p->operation, $varnishes, true) && in_array($p->target, [null, $area->id, $piece], true), 'Gloss before the wash after all'),
                ]) : [];
                yield new Finding($this->id(), $above->isPlanned() ? Severity::Think : Severity::Note, 'A pin wash on matt stains', "{$below->word()} is matt: the wash soaks in where it lands instead of running along the lines.", [$area->id], $outlook->stepsOf($above), $fixes);
            } elseif ($above->operation === Operation::Filter && $below->sheen()->isGlossy() && $above->isPlanned()) {
                yield new Finding($this->id(), Severity::Note, 'A filter wants matt or satin', "On {$below->word()} it gathers in drops.", [$area->id], $outlook->stepsOf($above));
            }
        }
    }
}
