<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Hand;
use AmberStep\Core\Masking\Register;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;

#[Says(
    'One of a pair of masks goes on the hand it is cut for; a pair has one of each.',
    speaks: [Severity::Stop],
    rests: 'The hands written down in the register of masks',
)]
final class MaskHand implements Judges
{
    public function id(): string
    {
        return 'mask-hand';
    }

    public function judge(Outlook $outlook): iterable
    {
        $register = new Register($outlook->context->kit, $outlook->context->surface);
        foreach ($register->sameHandTwice() as [$one, $other]) {
            if ($register->state($other) === 'spent') {
                continue;
            }
            $right = $one->hand === Hand::Port ? Hand::Starboard : Hand::Port;
            yield new Finding($this->id(), Severity::Stop, "Two masks for {$one->hand->word()} in one pair", "{$one->name()} and {$other->name()} are a pair: look at the sheet before one of them is laid.", [$one->id, $other->id], [], [
                new Fix("{$other->name()} is for {$right->word()}", [Edit::set('masks', $other->id, 'hand', $right->value)]),
                new Fix("{$one->name()} is for {$right->word()}", [Edit::set('masks', $one->id, 'hand', $right->value)]),
            ]);
        }
    }
}
