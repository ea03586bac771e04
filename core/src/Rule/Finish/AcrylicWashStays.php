<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Finish;

use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Severity;

#[Says(
    'A water-acrylic wash works in minutes and cannot be lifted afterwards.',
    speaks: [Severity::Note],
    rests: 'Handbook 2, Paint families: touch dry in 10 to 20 min',
)]
final class AcrylicWashStays implements Judges
{
    public function id(): string
    {
        return 'acrylic-wash-stays';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            $isWash = $step->operation->isWash();
            if ($isWash && $step->product?->liquid() === Liquid::WaterAcrylic) {
                yield new Finding($this->id(), Severity::Note, "{$step->product->name} stays where it dries", 'A water-acrylic wash works for minutes and cannot be lifted later: wet a panel at a time, wipe at once.', $step->targets, [$step->key]);
            }
        }
    }
}
