<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Breach;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Misdeed;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'What was done while a hold forbade it: never refused, always said.',
    speaks: [Severity::Stop, Severity::Think, Severity::Note],
    rests: 'The hold it was done in; a minute or a hundredth of it is forgiven',
)]
final class TooEarly implements Judges
{
    public function id(): string
    {
        return 'too-early';
    }

    public function judge(Outlook $outlook): iterable
    {
        $told = [];
        foreach ($outlook->breaches as $breach) {
            $mark = $breach->eventId.$breach->rule;
            if (! isset($told[$mark])) {
                $told[$mark] = true;
                yield $this->finding($breach, $outlook);
            }
        }
    }

    private function finding(Breach $breach, Outlook $outlook): Finding
    {
        if ($breach->said !== null) {
            return $this->misdone($breach, $breach->said, $outlook);
        }
        $context = $outlook->context;
        $over = ($breach->kind->passes() || $breach->rule === 'flash-off') && $context->nowEpoch >= $breach->untilEpoch;
        $at = Instant::wall($breach->atEpoch, $context->nowEpoch, $context->kit->zone);
        $until = Instant::wall($breach->untilEpoch, $context->nowEpoch, $context->kit->zone);
        $where = $context->nameOf($breach->heldTarget);
        $targets = [$breach->heldTarget, $breach->eventId];
        $key = (new Finding($breach->rule, Severity::Stop, '', '', $targets))->key;
        $areas = array_values(array_filter($breach->targets, static fn (string $t): bool => isset($context->kit->areasById[$t])));
        $fixes = $over || $areas === [] ? [] : [Say::look($outlook, $key, $areas, self::remedy($breach->kind), self::waitFor($breach->kind))];

        return new Finding(
            $breach->rule, match (true) {
                $over => Severity::Note,
                // Dust in tacky paint can be flatted out: not what the plan fails by.
                $breach->rule === 'dust' => Severity::Think,
                default => Severity::Stop,
            },
            $over ? 'It was done early: look at it' : 'Was done too early on '.$where,
            sprintf('%s at %s, while %s (%s) forbade %s until %s.', self::done($breach, $context), $at, $breach->because, self::word($breach->kind), $breach->kind->forbids(), $until),
            $targets, [], $fixes, rests: $breach->eventId,
        );
    }

    private function misdone(Breach $breach, Misdeed $said, Outlook $outlook): Finding
    {
        $targets = [$breach->heldTarget, $breach->eventId];
        $key = (new Finding($breach->rule, $said->severity, '', '', $targets))->key;
        $areas = array_values(array_filter([$breach->heldTarget, ...$breach->targets], static fn (string $t): bool => isset($outlook->context->kit->areasById[$t])));
        $at = Instant::wall($breach->atEpoch, $outlook->context->nowEpoch, $outlook->context->kit->zone);

        return new Finding($breach->rule, $said->severity, "Was done: {$said->title}", "{$said->why} That was {$at}.", $targets, [], $areas === [] ? [] : [Say::look($outlook, $key, [$areas[0]], $said->remedy, WaitKind::TouchDry)], rests: $breach->eventId);
    }

    /** What was done, and to what: the hold may stand on something it hangs on. */
    private static function done(Breach $breach, Context $context): string
    {
        $to = in_array($breach->heldTarget, $breach->targets, true) || $breach->targets === [] ? $breach->heldTarget : $breach->targets[0];

        $operation = Operation::tryFrom($breach->what);
        $laid = $operation?->leavesLayer() === true || $operation === Operation::Mask;

        return ucfirst(str_replace('-', ' ', $breach->what)).($laid ? ' went on ' : ' was done on ').$context->nameOf($to);
    }

    private static function word(HoldKind $kind): string
    {
        return $kind === HoldKind::Window ? 'its recoat window shut' : $kind->value;
    }

    private static function remedy(HoldKind $kind): string
    {
        return match ($kind) {
            HoldKind::TapeSafe => 'Lift a corner once the paint is tape-safe, look, and tape again',
            HoldKind::Window, HoldKind::Recoat, HoldKind::Cured => 'Look it over once it is cured; flat and mist what wrinkled',
            HoldKind::Dry => 'Look for trapped water and silvering once it is dry',
            HoldKind::SandSafe, HoldKind::Ready, HoldKind::Full => 'Look at the joint for sinks and drag before paint goes on',
            default => 'Look it over before the next coat',
        };
    }

    private static function waitFor(HoldKind $kind): ?WaitKind
    {
        return match ($kind) {
            HoldKind::TapeSafe, HoldKind::Dry => WaitKind::TapeSafe,
            HoldKind::Window, HoldKind::Recoat, HoldKind::Cured => WaitKind::Cured,
            HoldKind::Flash, HoldKind::Touch => WaitKind::TouchDry,
            default => null,
        };
    }
}
