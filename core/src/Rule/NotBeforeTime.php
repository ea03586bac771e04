<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Plan\Hold;
use AmberStep\Core\Plan\HoldKind;
use AmberStep\Core\Plan\Outlook;
use AmberStep\Core\Plan\Step;
use AmberStep\Core\Plan\World;

/** The user's own "not before"; a time given exactly is kept, and what it breaks is said. */
final class NotBeforeTime implements Judges, OrdersHolds
{
    public function id(): string
    {
        return 'not-before';
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($world->kit->notBefore as $pin) {
            if ($pin->step === $step->key && ! $pin->exactly) {
                yield new Hold(HoldKind::NotBefore, $step->target, 0, $pin->atEpoch, $this->id(), 'you asked for it');
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->context->kit->notBefore as $pin) {
            $planned = $outlook->left[$pin->step] ?? null;
            if ($planned === null || ! $pin->exactly) {
                continue;
            }
            foreach ($planned->holds as $hold) {
                if ($hold->covers($pin->atEpoch)) {
                    $until = \AmberStep\Core\Document\Instant::wall($hold->untilEpoch, $outlook->context->nowEpoch, $outlook->context->kit->zone);
                    yield new Finding($hold->rule, Severity::Stop, "Too early: {$hold->because}", "The time you gave falls into a hold on {$outlook->context->nameOf($hold->target)} that forbids {$hold->kind->forbids()} until {$until}.", [$hold->target], [$pin->step], [
                        new Fix("Wait until {$until}", [\AmberStep\Core\Kit\Edit::remove('notBefore', $pin->id)]),
                    ], rests: $pin->id);
                    break;
                }
            }
        }
    }
}
