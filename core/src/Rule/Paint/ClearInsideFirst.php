<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Work\Operation;

#[Says(
    'What is seen through the pane goes on the outside of a frame first, under primer and colour.',
    speaks: [],
    rests: 'The pane an inside face is seen through',
)]
final class ClearInsideFirst implements OrdersSteps
{
    public function id(): string
    {
        return 'clear-inside-first';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::InsideColour) as $inside) {
            foreach ($context->steps->ofPiece($inside->pieceId) as $step) {
                if (($step->operation === Operation::Prime || $step->operation === Operation::Ground || $step->operation === Operation::Colour) && $step->phase === $inside->phase && ! $step->isRemedy()) {
                    yield Say::must($inside, $step, $this, 'The inside colour of the frames is seen through the pane: it goes on first.');
                }
            }
        }
    }
}
