<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Severity;

#[Says(
    'Extra thinner for a last coat: it flows out on a solid colour, and carries the flakes of a metallic off its edges.',
    speaks: [Severity::Think],
    rests: 'Handbook 2, Paint families: thinner to paint',
)]
final class LateThinner implements Judges
{
    public function id(): string
    {
        return 'late-thinner';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            $pin = $step->product?->isMetallic() === true && $step->thinned && $step->isLastCoat() ? Stacks::extraThinner($outlook->context, $step) : null;
            if ($pin === null || $step->product === null) {
                continue;
            }
            yield new Finding($this->id(), Severity::Think, "Extra thinner in the last coat of {$step->product->name}", 'On a solid colour it flows out; the flakes of a metallic drift with it, and edges go dark.', $step->targets, [$step->key], Say::fixes([
                Say::unpin($outlook->context, static fn (Pin $p): bool => $p->id === $pin->id, 'Thin the last coat as the others'),
            ]));
        }
    }
}
