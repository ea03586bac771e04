<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Layering\Choice;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Severity;

#[Says(
    'Paint chips off PETG and acrylic sheet unless its first coat bites.',
    speaks: [Severity::Stop],
    rests: 'PETG and acrylic sheet',
)]
final class SlickSheetNeedsBite implements Judges
{
    public function id(): string
    {
        return 'slick-sheet-needs-bite';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach (Stacks::firstLayers($outlook) as [$area, $substrate, $first]) {
            if ($substrate->isSlickSheet() && $first->product !== null && ! Choice::holdsOn($first->product, $substrate)) {
                yield new Finding($this->id(), Severity::Stop, "{$first->word()} on bare {$substrate->word()}", ucfirst($substrate->word()).' gives it nothing to hold on to: it chips off.', [$area->id], $outlook->stepsOf($first), Stacks::keyFixes($outlook, $this, $area, $first, 'a primer that bites'));
            }
        }
    }
}
