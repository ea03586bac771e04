<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\TestSurface;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A test on paper lies: paper drinks.',
    speaks: [Severity::Note],
    rests: 'What the test is sprayed on',
)]
final class TestOnTheRightSurface implements Judges
{
    public function id(): string
    {
        return 'test-surface';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->left as $planned) {
            $inserted = $planned->step->inserted;
            if ($planned->step->operation === Operation::Test && $inserted?->surface === TestSurface::Paper) {
                yield new Finding($this->id(), Severity::Note, 'A test on paper', 'Paper drinks: colour, sheen and drying come out otherwise than on plastic.', [...$inserted->targets, $inserted->id], [$planned->step->key], [
                    new Fix('On a spoon', [Edit::set('inserted', $inserted->id, 'surface', TestSurface::Spoon->value)]),
                    new Fix('On spare plastic', [Edit::set('inserted', $inserted->id, 'surface', TestSurface::SparePlastic->value)]),
                ]);
            }
        }
    }
}
