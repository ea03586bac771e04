<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'The first coat of a colour is a mist: it grips, and what follows does not run.',
    speaks: [Severity::Note],
    rests: 'Handbook 2: a mist leaves half the film',
)]
final class FirstCoatMist implements Judges
{
    public function id(): string
    {
        return 'first-coat-mist';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            if ($step->operation !== Operation::Colour || $step->n !== 1 || $step->isRemedy() || ($step->coatKind !== CoatKind::Wet && $step->coatKind !== CoatKind::Heavy)) {
                continue;
            }
            $unpin = Say::unpin($outlook->context, static fn (Pin $p): bool => $p->coatKind !== null && $p->concerns(Operation::Colour, $step->counted(), $step->pieceId, ...$step->targets), 'Begin with a mist');
            yield new Finding($this->id(), Severity::Note, "The first coat of {$step->product?->name} is planned {$step->coatKind->value}", 'A mist first grips and dries in minutes; a wet first coat runs on uprights and crazes what is touchy.', $step->targets, [$step->key], Say::fixes([$unpin]));
        }
        foreach (Stacks::pairs($outlook) as [$area, $below, $above]) {
            $first = $above->firstCoat();
            if ($below->wash() !== null && $above->isPlanned() && $above->operation->isVarnish() && $first->kind !== CoatKind::Mist) {
                $unpin = Say::unpin($outlook->context, static fn (Pin $p): bool => $p->coatKind !== null && $p->concerns($above->operation, $above->purpose, $outlook->context->breakdown->pieceOfArea[$area->id] ?? '', $area->id), 'Begin with a mist');
                yield new Finding($this->id(), Severity::Note, "{$above->word()} over a wash is planned {$first->kind->value}", 'A mist first fixes what lies in the recesses; a wet coat floats it out.', [$area->id], $outlook->stepsOf($above), Say::fixes([$unpin]));
            }
        }
    }
}
