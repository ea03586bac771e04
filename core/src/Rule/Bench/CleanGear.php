<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Missing;
use AmberStep\Core\Kit\Outage;
use AmberStep\Core\Material\Family;
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
    'A gun dropped, a can blocked, a part not there: what needs it waits a day, and the rest of the evening goes on.',
    speaks: [Severity::Think],
    rests: 'A day until the gun, the can or the part is back',
)]
final class CleanGear implements Judges, OrdersHolds
{
    /** Seconds until it is asked again: a needle or a can comes the next day at the soonest. */
    public const A_DAY = 86400;

    /** Titles shown of what can be done meanwhile. */
    private const SHOWN = 4;

    public function id(): string
    {
        return 'clean-gear';
    }

    public function concerns(Operation $operation): bool
    {
        return true;
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($world->kit->outages as $outage) {
            if (self::needs($step, $outage, $world->kit)) {
                yield new Hold(HoldKind::NotBefore, $step->target, $outage->sinceEpoch, $outage->sinceEpoch + self::A_DAY, $this->id(), self::words($outage, $world->kit));
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->outages as $outage) {
            $waits = array_filter($outlook->left, static fn ($p): bool => self::needs($p->step, $outage, $context->kit));
            $colours = array_values(array_unique(array_filter(array_map(static fn ($p): string => $p->step->operation->sprays() ? $p->step->product->name ?? '' : '', $waits), static fn (string $n): bool => $n !== '')));
            $tonight = array_filter($outlook->left, static fn ($p): bool => ! isset($waits[$p->step->key]) && $p->startEpoch < $context->nowEpoch + self::A_DAY && $p->startEpoch < $outage->sinceEpoch + self::A_DAY);
            $titles = array_values(array_unique(array_map(static fn ($p): string => \AmberStep\Core\Telling\Words::title($p->step, $context), array_slice($tonight, 0, self::SHOWN))));
            $sentence = (match (count($waits)) {
                0 => 'Nothing waits for it',
                1 => '1 step waits for it',
                default => count($waits).' steps wait for it',
            })
                .($colours === [] ? '' : ': '.Names::listed(array_slice($colours, 0, 5))).'. '
                .($titles === [] ? 'Nothing else can be done tonight.' : 'Meanwhile: '.Names::listed($titles).(count($tonight) > self::SHOWN ? ', and more' : '').'.');
            yield new Finding($this->id(), Severity::Think, ucfirst(self::words($outage, $context->kit)), $sentence, [$outage->id], array_keys($waits), [
                new Fix('It works again', [Edit::remove('outages', $outage->id)]),
            ]);
        }
    }

    private static function needs(Step $step, Outage $outage, Kit $kit): bool
    {
        $aerosol = $step->product?->family === Family::Aerosol;

        return match ($outage->missing) {
            Missing::Gun => $step->isSprayed() && ! $aerosol,
            Missing::Can => $step->isSprayed() && $aerosol && ($outage->target === null || $step->product?->id === $outage->target),
            Missing::Part => in_array($outage->target, [$step->pieceId, ...($kit->jointsById[$step->jointId ?? '']->parts ?? [])], true) && ! $step->operation->isOfTheBuild(),
        };
    }

    private static function words(Outage $outage, Kit $kit): string
    {
        return match ($outage->missing) {
            Missing::Gun => 'the gun is out of use',
            Missing::Can => 'the can is blocked',
            Missing::Part => ($kit->partsById[$outage->target ?? '']->name ?? 'a part').' is missing',
        };
    }
}
