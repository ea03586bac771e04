<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'What you set not before a time waits for it; a time given exactly is kept, and what it breaks is said.',
    speaks: [Severity::Stop],
    rests: 'The time the user gave',
)]
final class NotBeforeTime implements Judges, OrdersHolds
{
    public function id(): string
    {
        return 'not-before';
    }

    public function concerns(Operation $operation): bool
    {
        return true;
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
